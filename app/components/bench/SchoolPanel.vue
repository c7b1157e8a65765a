<script setup lang="ts">
import { computed } from 'vue'
import { type JobView, schoolChoices } from '~~/core/job'
import type { School } from '~~/core/stops'
import PanelFrame from './PanelFrame.vue'

/** How this job finds its stops: the shop's favourite first, each with its trap. */
const props = defineProps<{ view: JobView, favourite: School | null }>()
defineEmits<{ choose: [school: School], back: [] }>()
const choices = computed(() => schoolChoices(props.view, props.favourite))
</script>

<template>
  <PanelFrame title="How to find the stops" label="Ways of finding stops" @back="$emit('back')">
    <button v-for="c in choices" :key="c.school" type="button" class="key school" :class="{ chosen: c.chosen }" :aria-pressed="c.chosen" :data-school="c.school" @click="$emit('choose', c.school)">
      <b>{{ c.name }}<small v-if="c.chosen || c.favourite">{{ [c.chosen ? 'this job' : '', c.favourite ? 'the shop’s favourite' : ''].filter(Boolean).join(', ') }}</small></b>
      <span>{{ c.help }}</span><span class="caution">{{ c.caution }}</span>
    </button>
  </PanelFrame>
</template>

<style scoped>
.school { flex: none; padding: 9px 14px 10px; gap: 3px; } .school.chosen { border-color: var(--petrol); box-shadow: inset 5px 0 0 var(--petrol); }
b { font: 600 19px/1.2 var(--figures); display: flex; justify-content: space-between; gap: 10px; align-items: baseline; } small { font: 600 14px/1.2 var(--figures); color: var(--petrol); text-align: right; }
span { font-size: 15px; line-height: 1.3; color: var(--ink2); } .caution { color: var(--ink); } .caution::before { content: '! '; font-weight: 700; }
</style>
