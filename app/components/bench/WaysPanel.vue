<script setup lang="ts">
import { computed } from 'vue'
import { TARGET_SCHOOLS } from '~~/core/feeler'
import { BLADE_HABITS, type Happening, HABIT_NAMES, type JobView, TARGET_NAMES } from '~~/core/job'
import PanelFrame from './PanelFrame.vue'

/** Where in the limits this job's valves are set, and where the blade is while the nut is locked. */
const props = defineProps<{ view: JobView }>()
defineEmits<{ record: [happening: Happening]; back: [] }>()
const target = computed(() => props.view.state.target ?? props.view.pin.target)
const habit = computed(() => props.view.state.bladeHabit ?? props.view.pin.bladeHabit)
</script>

<template>
  <PanelFrame title="Ways of setting" label="Target and blade while locking" @back="$emit('back')">
    <h3>Set to</h3>
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
    <p class="note">A blade that is pinched by the lock is ruined. An exhaust tends to close with use.</p>
  </PanelFrame>
</template>

<style scoped>
h3 {
  font-size: 18px;
  padding-top: 6px;
}
</style>
