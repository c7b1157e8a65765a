<script setup lang="ts">
import { computed } from 'vue'
import { bladeGoesUnder, valveById } from '~~/core/engine'
import { countedAsIn, type Stack } from '~~/core/feeler'
import { clearanceOf, type JobView, judgeReading, presentReading, setInHand, stopHere } from '~~/core/job'
import { formatLength } from '~~/core/units'
import { t, tell } from '../../words'
import CycleWheel from '../engine/CycleWheel.vue'
import BladeFan from './BladeFan.vue'
import GapPicture from './GapPicture.vue'

/** Measure and Prove: the engine at its stop, the gap to scale, what stands beside the verdict, the set's blades. */
const props = defineProps<{ view: JobView; valveId: string; chosen: Stack | null; stacking: boolean; topMm: number }>()
defineEmits<{ choose: [engravedMm: number]; stack: []; sets: [] }>()
const pin = computed(() => props.view.pin)
const valve = computed(() => props.view.state.valves.find(v => v.valveId === props.valveId))
const reading = computed(() => valve.value && presentReading(valve.value))
const judged = computed(() => judgeReading(pin.value, reading.value, props.valveId))
const limits = computed(() => countedAsIn(clearanceOf(pin.value, props.valveId), setInHand(props.view)))
const set = computed(() => setInHand(props.view))
const felt = computed(
  () => new Map(reading.value?.trials.map(t => [(t.engravedMm ?? t.bladesMm).join('+'), t.feel] as const) ?? []),
)
const stop = computed(() => stopHere(props.view))
const cylinderId = computed(() => valveById(pin.value.spec.engine, props.valveId).cylinderId)
const role = computed(() => pin.value.spec.engine.valves.filter(v => v.id === props.valveId).map(v => v.role))
/**
 * What stands beside the picture, the most pressing first: a bent blade, the size that would settle it where this set
 * has none to try, blade error, estimates.
 */
const beside = computed(() => {
  const { settleWithMm, verdict, cautions } = judged.value
  const mm = (v: number) => `${formatLength(v, pin.value.unit)} ${pin.value.unit}`
  return [
    ...(props.chosen?.doubt
      ? [t('blades-stage.this-blade-is-what-it', { doubt: props.chosen.doubt, errorMm: mm(props.chosen.errorMm) })]
      : []),
    ...(verdict === 'unproved' && settleWithMm !== null && reading.value && props.chosen === null
      ? [t('blades-stage.would-settle-it', { settleWithMm: mm(settleWithMm) })]
      : []),
    ...cautions.map(tell),
    ...(valve.value?.estimates
      .slice(-1)
      .map(e => t('blades-stage.estimate-by-proves-nothing', { text: e.text, by: e.by })) ?? []),
  ].slice(0, 2)
})
</script>

<template>
  <div class="blades-stage">
    <CycleWheel
      class="wheel"
      :engine="pin.spec.engine"
      :arcs="view.position.arcs"
      :crank-deg="view.position.peakDeg"
      :stops="view.model.plan.stops"
      :target="stop"
      :at-stop="stop !== null"
      :feel="role"
      :cylinder-id="cylinderId"
      compact
    />
    <GapPicture
      class="gap"
      :lo-mm="judged.reading.loMm"
      :hi-mm="judged.reading.hiMm"
      :min-mm="limits.minMm"
      :max-mm="limits.maxMm"
      :next="chosen"
      :unit="set.unit"
      :top-mm="topMm"
      :over="bladeGoesUnder(pin.spec.engine, valveId)"
    />
    <p v-if="beside.length" class="beside">
      <span v-for="words in beside" :key="words">{{ words }}</span>
    </p>
    <BladeFan
      class="fan"
      :set="set"
      :chosen="chosen?.engravedMm ?? null"
      :felt="felt"
      :stacking="stacking"
      :several="pin.otherSets.length > 0"
      @choose="$emit('choose', $event)"
      @stack="$emit('stack')"
      @sets="$emit('sets')"
    />
  </div>
</template>

<style scoped>
.blades-stage {
  height: 100%;
  display: grid;
  grid-template: minmax(0, 1fr) auto auto / 1.08fr 1fr;
  min-height: 0;
}
.wheel {
  padding: 16px 0 8px 16px;
  min-height: 0;
}
.gap {
  min-height: 0;
  padding: 10px 10px 0 0;
}
.beside {
  grid-column: 1 / -1;
  display: flex;
  flex-wrap: wrap;
  gap: 2px 18px;
  padding: 0 20px 4px;
  font-size: 15px;
  line-height: 1.25;
  color: var(--ink2);
}
.fan {
  grid-column: 1 / -1;
}
@media (max-width: 700px) {
  .blades-stage {
    grid-template: auto 1fr / 1fr;
    height: auto;
  }
  .wheel,
  .gap {
    display: none;
  }
  .beside {
    padding: 6px 16px 0;
  }
}
</style>
