<script setup lang="ts">
import { computed } from 'vue'
import { TARGET_SCHOOLS } from '~~/core/feeler'
import {
  aimOf,
  BLADE_HABITS,
  type Happening,
  HABIT_NAMES,
  type JobView,
  PROOF_NAMES,
  shiftWords,
  TARGET_NAMES,
} from '~~/core/job'
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
const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1)
/** What locking is taken to do to the first valve that a screw sets, and whose word that is. */
const locking = computed(() => {
  const bySet = props.view.pin.spec.engine.valves.find(v => v.adjuster === 'screw')
  const valve = props.view.state.valves.find(v => v.valveId === bySet?.id)
  const aim = valve && aimOf(props.view, valve)
  return aim?.shift ? `${capital(aim.by)}: ${shiftWords(aim.shift)}.` : 'No locknut allowance yet: needs two on record.'
})
const habit = computed(() => props.view.state.bladeHabit ?? props.view.pin.bladeHabit)
</script>

<template>
  <PanelFrame title="Ways of setting" label="Target, blade, locking and proof" @back="$emit('back')">
    <h3>Set valves to</h3>
    <button
      v-for="t in TARGET_SCHOOLS"
      :key="t"
      type="button"
      class="key pick"
      :class="{ chosen: t === target }"
      :aria-pressed="t === target"
      :data-target="t"
      @click="$emit('record', { type: 'target-chosen', payload: { target: t } })"
    >
      <b>{{ TARGET_NAMES[t] }}<small v-if="t === view.pin.target">the shop’s way</small></b>
    </button>
    <h3>While the nut is locked</h3>
    <button
      v-for="h in BLADE_HABITS"
      :key="h"
      type="button"
      class="key pick"
      :class="{ chosen: h === habit }"
      :aria-pressed="h === habit"
      @click="$emit('record', { type: 'blade-habit-chosen', payload: { habit: h } })"
    >
      <b>{{ HABIT_NAMES[h] }}<small v-if="h === view.pin.bladeHabit">the shop’s way</small></b>
    </button>
    <h3>What tightening the nut does to the gap</h3>
    <p class="note">{{ locking }}</p>
    <AimOffForm :shift-mm="view.state.aimOffMm" :unit="view.pin.unit" @record="$emit('record', $event)" />
    <button
      v-if="view.state.aimOffMm !== null"
      type="button"
      class="key pick"
      @click="$emit('record', { type: 'aim-off-chosen', payload: { shiftMm: null } })"
    >
      <b>Use the recorded shift again</b>
    </button>
    <h3>What proves a valve</h3>
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
      <b>{{ PROOF_NAMES[p] }}<small v-if="p === shopsProof">the shop’s way</small></b>
    </button>
    <p class="note">A blade that the lock pinches is ruined. Exhausts tend to tighten with use.</p>
  </PanelFrame>
</template>

<style scoped>
h3 {
  font-size: 18px;
  padding-top: 6px;
}
</style>
