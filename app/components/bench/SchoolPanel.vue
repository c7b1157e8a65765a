<script setup lang="ts">
import { computed } from 'vue'
import { type JobView, schoolChoices } from '~~/core/job'
import type { School } from '~~/core/stops'
import PanelFrame from './PanelFrame.vue'

/** How this job finds its stops: the shop's favourite first, each with its trap. */
const props = defineProps<{ view: JobView; favourite: School | null }>()
defineEmits<{ choose: [school: School]; back: [] }>()
const choices = computed(() => schoolChoices(props.view, props.favourite))
</script>

<template>
  <PanelFrame title="How to find the stops" label="Ways of finding stops" @back="$emit('back')">
    <button
      v-for="c in choices"
      :key="c.school"
      type="button"
      class="key pick school"
      :class="{ chosen: c.chosen }"
      :aria-pressed="c.chosen"
      :data-school="c.school"
      @click="$emit('choose', c.school)"
    >
      <b
        >{{ c.name
        }}<small v-if="c.chosen || c.favourite">{{
          [c.chosen ? 'this job' : '', c.favourite ? 'the shop’s favourite' : ''].filter(Boolean).join(', ')
        }}</small></b
      >
      <span>{{ c.help }}</span><span class="caution">{{ c.caution }}</span>
    </button>
  </PanelFrame>
</template>

<style scoped>
.school .caution {
  color: var(--ink);
}
.caution::before {
  content: '! ';
  font-weight: 700;
}
</style>
