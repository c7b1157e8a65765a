<script setup lang="ts">
import { computed } from 'vue'
import { TARGET_SCHOOLS } from '~~/core/feeler'
import { aimOf, BLADE_HABITS, type Happening, type JobView, shiftWords } from '~~/core/job'
import { say } from '~~/core/said'
import { t, tell } from '../../../words'
import AimOffForm from './AimOffForm.vue'
import PanelFrame from './PanelFrame.vue'

/**
 * How this job’s valves are set and proved: target, blade while locking, what locking is taken to do, what counts as
 * proof.
 */
const props = defineProps<{ view: JobView }>()
defineEmits<{ record: [happening: Happening]; back: [] }>()
const target = computed(() => props.view.state.target ?? props.view.pin.target)
const PROOFS = ['drag', 'pair'] as const
const proof = computed(() => (props.view.pin.pairToProve ? 'pair' : 'drag'))
const shopsProof = computed(() => (props.view.tools.pin.pairToProve ? 'pair' : 'drag'))
/** What locking is taken to do to the first valve that a screw sets, and whose word that is. */
const locking = computed(() => {
  const bySet = props.view.pin.spec.engine.valves.find(v => v.adjuster === 'screw')
  const valve = props.view.state.valves.find(v => v.valveId === bySet?.id)
  const aim = valve && aimOf(props.view, valve)
  return aim?.shift
    ? tell(say('lock.whose-and-what', { shift: shiftWords(aim.shift), by: aim.by }))
    : t('common.no-locknut-allowance-yet-needs-two')
})
const habit = computed(() => props.view.state.bladeHabit ?? props.view.pin.bladeHabit)
</script>

<template>
  <PanelFrame
    :title="t('ways-panel.ways-of-setting')"
    :label="t('ways-panel.target-blade-locking-and-proof')"
    @back="$emit('back')"
  >
    <h3>{{ t('common.set-valves-to') }}</h3>
    <button
      v-for="way in TARGET_SCHOOLS"
      :key="way"
      type="button"
      class="key pick"
      :class="{ chosen: way === target }"
      :aria-pressed="way === target"
      :data-target="way"
      @click="$emit('record', { type: 'target-chosen', payload: { target: way } })"
    >
      <b
        >{{ tell(say(`target.${way}`))
        }}<small v-if="way === view.pin.target">{{ t('ways-panel.the-shops-way') }}</small></b
      >
    </button>
    <h3>{{ t('common.while-the-nut-is-locked') }}</h3>
    <button
      v-for="h in BLADE_HABITS"
      :key="h"
      type="button"
      class="key pick"
      :class="{ chosen: h === habit }"
      :aria-pressed="h === habit"
      @click="$emit('record', { type: 'blade-habit-chosen', payload: { habit: h } })"
    >
      <b
        >{{ tell(say(`habit.${h}`))
        }}<small v-if="h === view.pin.bladeHabit">{{ t('ways-panel.the-shops-way') }}</small></b
      >
    </button>
    <h3>{{ t('ways-panel.what-tightening-the-nut-does') }}</h3>
    <p class="note">{{ locking }}</p>
    <AimOffForm :shift-mm="view.state.aimOffMm" :unit="view.pin.unit" @record="$emit('record', $event)" />
    <button
      v-if="view.state.aimOffMm !== null"
      type="button"
      class="key pick"
      @click="$emit('record', { type: 'aim-off-chosen', payload: { shiftMm: null } })"
    >
      <b>{{ t('ways-panel.use-the-recorded-shift-again') }}</b>
    </button>
    <h3>{{ t('ways-panel.what-proves-a-valve') }}</h3>
    <button
      v-for="p in PROOFS"
      :key="p"
      type="button"
      class="key pick"
      :class="{ chosen: p === proof }"
      :aria-pressed="p === proof"
      :data-proof="p"
      @click="$emit('record', { type: 'proof-chosen', payload: { pair: p === 'pair' } })"
    >
      <b
        >{{ tell(say(`proof.${p}`)) }}<small v-if="p === shopsProof">{{ t('ways-panel.the-shops-way') }}</small></b
      >
    </button>
    <p class="note">{{ t('ways-panel.a-blade-that-the-lock') }}</p>
  </PanelFrame>
</template>

<style scoped>
h3 {
  font-size: 18px;
  padding-top: 6px;
}
</style>
