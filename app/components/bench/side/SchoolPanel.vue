<script setup lang="ts">
import { computed } from 'vue'
import { type Happening, type JobView, schoolChoices } from '~~/core/job'
import { canBeOneAtATime, type School } from '~~/core/stops'
import { t, tell } from '../../../words'
import PanelFrame from './PanelFrame.vue'

/** How this job finds its stops: the shop's favourite first, each with its trap. */
const props = defineProps<{ view: JobView; favourite: School | null }>()
defineEmits<{ choose: [school: School]; record: [happening: Happening]; back: [] }>()
const PLANS = [
  {
    oneAtATime: false,
    name: t('school-panel.the-fewest-stops'),
    help: t('school-panel.valves-of-several-cylinders-at'),
  },
  { oneAtATime: true, name: t('school-panel.one-cylinder-at-a-time'), help: t('school-panel.each-at-its-own-tdc') },
]
const choices = computed(() => schoolChoices(props.view, props.favourite))
</script>

<template>
  <PanelFrame
    :title="t('school-panel.how-to-find-the-stops')"
    :label="t('school-panel.methods-of-finding-stops')"
    @back="$emit('back')"
  >
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
        >{{ tell(c.name)
        }}<small v-if="c.chosen || c.favourite">{{
          [c.chosen ? t('school-panel.this-job') : '', c.favourite ? t('school-panel.the-shops-choice') : '']
            .filter(Boolean)
            .join(', ')
        }}</small></b
      >
      <span>{{ tell(c.help) }}</span><span class="caution">{{ tell(c.caution) }}</span>
    </button>
    <template v-if="canBeOneAtATime(view.pin.spec.engine, view.school)">
      <h3>{{ t('school-panel.plan') }}</h3>
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
