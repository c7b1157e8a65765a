<script setup lang="ts">
import { computed, ref } from 'vue'
import { type Happening, type JobView, settingOn, wrenchInHand } from '~~/core/job'
import { scaleWords } from '~~/core/torque'
import { formatTorque } from '~~/core/units'
import PanelFrame from './PanelFrame.vue'

/**
 * The torque wrench in hand and what stands in line with it, with what to set it to. One that cannot be set so is not
 * taken.
 */
const props = defineProps<{ view: JobView }>()
const emit = defineEmits<{ record: [happening: Happening]; back: [] }>()
const nm = computed(() => props.view.pin.spec.engine.torques.locknutNm)
const held = computed(() => wrenchInHand(props.view))
const adapter = ref<string | null>(held.value.adapter?.name ?? null)
const wrong = ref('')
const wrenches = computed(() =>
  props.view.pin.wrenches.map(w => {
    const setting = nm.value === null ? null : settingOn(props.view, nm.value, w.name, adapter.value)
    return {
      name: w.name,
      scale: scaleWords(w),
      set: setting && !setting.refused ? `set to ${setting.words}` : '',
      doubts: setting?.by.doubts ?? [],
      refused: setting?.refused ?? null,
    }
  }),
)
function take(w: (typeof wrenches.value)[number]): void {
  if (w.refused) wrong.value = w.refused
  else emit('record', { type: 'wrench-taken', payload: { wrench: w.name, adapter: adapter.value } })
}
function choose(name: string | null): void {
  adapter.value = name
  wrong.value = ''
}
</script>

<template>
  <PanelFrame title="Torque wrench" label="Wrenches and adapters" @back="$emit('back')">
    <p class="note">
      {{ nm === null ? 'The spec gives no locknut torque.' : `Locknut ${formatTorque(nm)}.` }} In line with the wrench:
    </p>
    <div class="line" role="group" aria-label="Adapter">
      <button type="button" class="quiet" :aria-pressed="adapter === null" @click="choose(null)">Nothing</button>
      <button
        v-for="a in view.pin.adapters"
        :key="a.name"
        type="button"
        class="quiet"
        :aria-pressed="adapter === a.name"
        @click="choose(a.name)"
      >
        {{ a.name }}
      </button>
    </div>
    <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
    <button
      v-for="w in wrenches"
      :key="w.name"
      type="button"
      class="key pick"
      :class="{ chosen: held.wrench?.name === w.name }"
      :aria-pressed="held.wrench?.name === w.name"
      :data-wrench="w.name"
      @click="take(w)"
    >
      <b
        >{{ w.name }}<small>{{ w.set || w.scale }}</small></b
      ><span v-for="d in w.doubts" :key="d">! {{ d }}</span
      ><span v-if="w.set">Scale {{ w.scale }}</span>
    </button>
    <p v-if="wrenches.length === 0" class="note">No torque wrench on the Shelf yet: a lead adds it there.</p>
    <button
      v-if="held.wrench"
      type="button"
      class="quiet"
      @click="emit('record', { type: 'wrench-taken', payload: { wrench: null, adapter: null } })"
    >
      By hand, no torque wrench
    </button>
  </PanelFrame>
</template>

<style scoped>
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.line .quiet[aria-pressed='true'] {
  background: var(--petrol);
  border-color: var(--petrol);
  color: var(--on-petrol);
}
</style>
