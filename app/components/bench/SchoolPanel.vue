<script setup lang="ts">
import { computed } from 'vue'
import { type Happening, type JobView, schoolChoices } from '~~/core/job'
import { canBeOneAtATime, type School } from '~~/core/stops'
import PanelFrame from './PanelFrame.vue'

/** How this job finds its stops: the shop's favourite first, each with its trap. */
const props = defineProps<{ view: JobView; favourite: School | null }>()
defineEmits<{ choose: [school: School]; record: [happening: Happening]; back: [] }>()
const PLANS = [
  { oneAtATime: false, name: 'The fewest stops', help: 'Valves of several cylinders at one stop, by cam data.' },
  { oneAtATime: true, name: 'One cylinder at a time', help: 'Each at its own TDC: more turning, fewer mix-ups.' },
]
const choices = computed(() => schoolChoices(props.view, props.favourite))
</script>

<template>
  <PanelFrame title="How to find the stops" label="Methods of finding stops" @back="$emit('back')">
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
          [c.chosen ? 'this job' : '', c.favourite ? 'the shop’s choice' : ''].filter(Boolean).join(', ')
        }}</small></b
      >
      <span>{{ c.help }}</span><span class="caution">{{ c.caution }}</span>
    </button>
    <template v-if="canBeOneAtATime(view.pin.spec.engine, view.school)">
      <h3>Plan</h3>
      <button
        v-for="plan in PLANS"
        :key="plan.name"
        type="button"
        class="key pick school"
        :class="{ chosen: plan.oneAtATime === view.model.plan.byCylinder }"
        :aria-pressed="plan.oneAtATime === view.model.plan.byCylinder"
        @click="$emit('record', { type: 'plan-chosen', payload: { oneAtATime: plan.oneAtATime } })"
      >
        <b>{{ plan.name }}</b><span>{{ plan.help }}</span>
      </button>
    </template>
  </PanelFrame>
</template>

<style scoped>
h3 {
  font-size: 18px;
  padding-top: 6px;
}
.school .caution {
  color: var(--ink);
}
.caution::before {
  content: '! ';
  font-weight: 700;
}
</style>
