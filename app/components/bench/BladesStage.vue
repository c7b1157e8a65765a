<script setup lang="ts">
import { computed } from 'vue'
import { valveById } from '~~/core/engine'
import { clearanceOf, judgeReading, type JobView, presentReading, stopHere } from '~~/core/job'
import { limitsOf, targetOf, thickness } from '~~/core/feeler'
import CycleWheel from '../engine/CycleWheel.vue'
import BladeFan from './BladeFan.vue'
import GapPicture from './GapPicture.vue'

/** Measure and Prove: the engine at its stop, the gap to scale, the set's blades. */
const props = defineProps<{ view: JobView, valveId: string, chosenMm: number | null, topMm: number }>()
defineEmits<{ choose: [bladeMm: number] }>()
const pin = computed(() => props.view.pin)
const reading = computed(() => {
  const valve = props.view.state.valves.find(v => v.valveId === props.valveId)
  return valve && presentReading(valve)
})
const interval = computed(() => judgeReading(pin.value, reading.value, props.valveId).reading)
const clearance = computed(() => clearanceOf(pin.value, props.valveId))
const limits = computed(() => limitsOf(clearance.value) ?? { minMm: targetOf(clearance.value), maxMm: targetOf(clearance.value) })
const felt = computed(() => new Map(reading.value?.trials.map(t => [thickness(t), t.feel] as const) ?? []))
const stop = computed(() => stopHere(props.view))
const cylinderId = computed(() => valveById(pin.value.spec.engine, props.valveId).cylinderId)
const role = computed(() => pin.value.spec.engine.valves.filter(v => v.id === props.valveId).map(v => v.role))
</script>

<template>
  <div class="blades-stage">
    <CycleWheel class="wheel" :engine="pin.spec.engine" :arcs="view.position.arcs" :crank-deg="view.position.peakDeg" :stops="view.model.plan.stops" :target="stop" :at-stop="stop !== null" :feel="role" :cylinder-id="cylinderId" compact />
    <GapPicture class="gap" :lo-mm="interval.loMm" :hi-mm="interval.hiMm" :min-mm="limits.minMm" :max-mm="limits.maxMm" :next-mm="chosenMm" :top-mm="topMm" />
    <BladeFan class="fan" :blades-mm="pin.bladeSet.bladesMm" :chosen-mm="chosenMm" :felt="felt" :set-name="pin.bladeSet.name" :unit="pin.bladeSet.unit" @choose="$emit('choose', $event)" />
  </div>
</template>

<style scoped>
.blades-stage { height: 100%; display: grid; grid-template: minmax(0, 1fr) auto / 1.08fr 1fr; min-height: 0; }
.wheel { padding: 16px 0 8px 16px; min-height: 0; }
.gap { min-height: 0; padding: 10px 10px 0 0; }
.fan { grid-column: 1 / -1; }
@media (max-width: 700px) { .blades-stage { grid-template: 1fr / 1fr; height: auto; } .wheel, .gap { display: none; } }
</style>
