<script setup lang="ts">
import { computed } from 'vue'
import { cylinderById, type Engine, type Role, wrap } from '~~/core/engine'
import type { BeliefArc } from '~~/core/position'
import type { Stop } from '~~/core/stops'
import { wheelWords } from '../../bench/picture-words'
import { named, t } from '../../words'
import EngineSection from './EngineSection.vue'
import { at, xy } from './geometry'
import { bandsFor, C, discRadius, lobesOf, RIM_IN, strokeMiddles } from './wheel-layout'
import WheelBands from './WheelBands.vue'
import WheelBelief from './WheelBelief.vue'
import WheelRim from './WheelRim.vue'
import WheelStops from './WheelStops.vue'

/**
 * The 720° cycle once round, with marks, closed arcs, belief and stops; in its middle the cylinder in question at the
 * likeliest angle.
 */
const props = defineProps<{
  engine: Engine
  arcs: BeliefArc[]
  crankDeg: number
  stops: Stop[]
  target: Stop | null
  atStop: boolean
  feel: Role[]
  cylinderId: string
  compact?: boolean
  /** It shows a model, not a job: no belief, and the least that each stop has to spare as a measured arc. */
  atRest?: boolean
  trueDeg?: number
}>()
/** Letters of more than one need room at the flanks. */
const wide = computed(() => props.engine.marks.some(m => m.kind === 'top' && m.letter.length > 1))
const several = computed(() => props.engine.cylinders.length > 1)
const disc = computed(() => discRadius(bandsFor(props.engine, props.target).length))
const lobes = computed(() => lobesOf(props.arcs, strokeMiddles(props.engine, props.cylinderId)))
const anywhere = computed(() => lobes.value.length === 0)
const sectionScale = computed(() => disc.value / 158)
/** Where it truly stands, when that is known and laid over what was believed. */
const truth = computed(() =>
  props.trueDeg === undefined
    ? null
    : {
        from: at(C, disc.value, props.trueDeg),
        to: at(C, RIM_IN, props.trueDeg),
        head: [
          at(C, RIM_IN, props.trueDeg),
          at(C, RIM_IN - 22, props.trueDeg - 9),
          at(C, RIM_IN - 22, props.trueDeg + 9),
        ]
          .map(xy)
          .join(' L '),
      },
)
/** The crank as the cylinder in question sees it. */
const localDeg = computed(() =>
  wrap((props.trueDeg ?? props.crankDeg) - cylinderById(props.engine, props.cylinderId).firingAngleDeg),
)
</script>

<template>
  <svg
    class="wheel"
    :viewBox="compact ? (wide ? '-24 -4 560 520' : '0 0 512 512') : '-34 0 580 512'"
    role="img"
    :aria-label="
      atRest
        ? t('cycle-wheel.cycle-wheel-of-the-model', { count: stops.length })
        : anywhere
          ? t('cycle-wheel.cycle-wheel-the-crank-may')
          : wheelWords(arcs, target, atStop)
    "
    :data-crank="crankDeg.toFixed(1)"
  >
    <WheelRim :engine="engine" :cylinder-id="cylinderId" :compact="compact" />
    <WheelBands :engine="engine" :target="target" :cylinder-id="cylinderId" :compact="compact" />
    <WheelStops :engine="engine" :stops="stops" :target="target" :at-stop="atStop" :at-rest="atRest" />
    <circle :cx="C.x" :cy="C.y" :r="disc" fill="var(--ground)" stroke="var(--ink)" stroke-width="1.2" />
    <WheelBelief :lobes="lobes" :crank-deg="crankDeg" :disc="disc" :compact="compact" />
    <g v-if="truth" class="truth" :data-true="trueDeg!.toFixed(1)">
      <path :d="`M ${xy(truth.from)} L ${xy(truth.to)}`" stroke="var(--sheet)" stroke-width="8" />
      <path :d="`M ${xy(truth.from)} L ${xy(truth.to)}`" stroke="var(--ink)" stroke-width="4" />
      <path :d="`M ${truth.head} Z`" fill="var(--ink)" stroke="var(--sheet)" stroke-width="1.5" />
    </g>
    <g
      :transform="`translate(${C.x} ${C.y}) scale(${sectionScale})`"
      :opacity="anywhere && !atRest && trueDeg === undefined ? 0.4 : 1"
    >
      <EngineSection
        :engine="engine"
        :crank-deg="localDeg"
        :feel="feel"
        :labels="!compact"
        :label-size="Math.max(15, 13 / sectionScale)"
        :name="several && !compact ? named(cylinderById(engine, cylinderId).name) : null"
      />
    </g>
  </svg>
</template>

<style scoped>
.wheel {
  display: block;
  width: 100%;
  height: 100%;
}
</style>
