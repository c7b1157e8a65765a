<script setup lang="ts">
import { computed, useId } from 'vue'
import {
  type Arc,
  baseCircle,
  closedArcs,
  cylinderById,
  decompressorArc,
  type Engine,
  greatestLiftMm,
  localAngle,
  type Role,
  signedWay,
  type Valve,
  valveLift,
  wrap,
} from '~~/core/engine'
import type { BeliefArc } from '~~/core/position'
import type { Stop } from '~~/core/stops'
import { at, polarPath, ringPath, textArc, xy } from './geometry'
import EngineSection from './EngineSection.vue'
import { named, t, tell } from '../../words'

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
  atRest?: boolean
  trueDeg?: number
}>()
/** At rest it shows a model, not a job: no belief, and the least that each stop has to spare as a measured arc. */
const margins = computed(() =>
  !props.atRest
    ? []
    : props.stops.map(stop => {
        const before = Math.min(...stop.valves.map(v => v.beforeDeg), 170)
        const after = Math.min(...stop.valves.map(v => v.afterDeg), 170)
        return {
          deg: stop.crankDeg,
          d: polarPath(C, stop.crankDeg - before, stop.crankDeg + after, 4, () => TRACK + 8),
          ends: [-before, after].map(off => ({
            deg: off,
            line: `M ${xy(at(C, TRACK + 2, stop.crankDeg + off))} L ${xy(at(C, TRACK + 14, stop.crankDeg + off))}`,
            words: at(C, TRACK + 17, stop.crankDeg + off / 2),
          })),
          dot: at(C, TRACK + 8, stop.crankDeg),
        }
      }),
)
/** Ends of closed arcs that rest on assumed cam timing. */
const assumedEnds = computed(() =>
  !props.atRest || props.engine.cam !== null
    ? []
    : bands.value.flatMap((band, i) =>
        (allClosed.value[band.valve.id] ?? []).flatMap(a => {
          const outer = TRACK - 4 - i * (BAND.value + GAP.value)
          return [a.startDeg, a.startDeg + a.sweepDeg].map(
            deg => `M ${xy(at(C, outer - BAND.value - 3, deg))} L ${xy(at(C, outer + 3, deg))}`,
          )
        }),
      ),
)

const id = useId()
const C = { x: 256, y: 256 }
const RIM = 226
const RIM_IN = 212
const TRACK = 180
/** One band for the valves of a kind on a cylinder: two intakes side by side are shut together. */
const shown = computed(() =>
  props.engine.valves.filter(
    (v, i, all) => all.findIndex(o => o.cylinderId === v.cylinderId && o.role === v.role) === i,
  ),
)
const BAND = computed(() => (shown.value.length > 4 ? 9 : 15))
const GAP = computed(() => (shown.value.length > 2 ? 2 : 3))
const disc = computed(() => TRACK - 4 - shown.value.length * (BAND.value + GAP.value) - 2)
/** Letters of more than one need room at the flanks. */
const wide = computed(() => props.engine.marks.some(m => m.kind === 'top' && m.letter.length > 1))
const several = computed(() => props.engine.cylinders.length > 1)

const marks = computed(() =>
  [0, 360].flatMap(turn =>
    props.engine.marks.map((mark, i) => ({ ...mark, key: `${i}-${turn}`, deg: mark.angleDeg + turn })),
  ),
)
/** Degree figures give way to the letters of top marks. */
const degrees = computed(() =>
  [90, 180, 270, 360, 450, 540, 630, 0].filter(
    d => !props.engine.marks.some(m => m.kind === 'top' && Math.abs(signedWay(m.angleDeg, d, 360)) < 24),
  ),
)
/** A letter stands outside its tick: beside it on the flanks of the wheel, above or below it at top and bottom. */
function letterAt(deg: number, letter: string) {
  const side = Math.sin(((deg / 2) * Math.PI) / 180)
  const p = at(C, RIM + 21 - Math.abs(side) * 6, deg)
  return {
    x: p.x,
    y: p.y + 6,
    anchor:
      letter.length < 2 || Math.abs(side) < 0.5
        ? ('middle' as const)
        : side > 0
          ? ('start' as const)
          : ('end' as const),
  }
}
/** Rim ticks each 10°, longer each 30°, across the rim each 90°: three paths in all. */
const TICKS = [
  { every: 90, from: RIM_IN, width: 2.4 },
  { every: 30, from: RIM - 9, width: 1 },
  { every: 10, from: RIM - 5, width: 1 },
].map(({ every, from, width }) => ({
  width,
  d: Array.from(
    { length: 720 / every },
    (_, i) => `M ${xy(at(C, from, i * every))} L ${xy(at(C, RIM, i * every))}`,
  ).join(' '),
}))

const allClosed = computed(() => closedArcs(props.engine))
const bands = computed(() =>
  shown.value.map((valve, i) => {
    const outer = TRACK - 4 - i * (BAND.value + GAP.value)
    const inner = outer - BAND.value
    const open = baseCircle(props.engine, valve)
    const openFrom = open.startDeg + open.sweepDeg
    const openSweep = 720 - open.sweepDeg
    const lift = (deg: number) =>
      valveLift(props.engine, valve.role, localAngle(props.engine, valve, deg)) / greatestLiftMm(props.engine)
    const arcs = allClosed.value[valve.id] ?? []
    return {
      valve,
      own: valve.cylinderId === props.cylinderId,
      name: bandName(valve),
      arcs: arcs.map(a => ringPath(C, inner, outer, a.startDeg, a.sweepDeg)),
      bumpRing:
        polarPath(C, openFrom, openFrom + openSweep, 6, deg => inner + BAND.value * Math.min(1, lift(deg))) +
        ' ' +
        lowerEdge(openFrom, openSweep, inner),
      label: textArc(C, (inner + outer) / 2, labelAt(arcs, i), 120),
      held: heldArc(valve, inner),
    }
  }),
)
/** “Left intake”, or “Intakes” where two share the band. */
function bandName(valve: Valve): string {
  const twins = props.engine.valves.filter(v => v.cylinderId === valve.cylinderId && v.role === valve.role).length
  const cylinder = several.value ? `${cylinderById(props.engine, valve.cylinderId).name} ` : ''
  const one = named(`${cylinder}${valve.role}`)
  const name = twins > 1 ? t('cycle-wheel.several', { one }) : `${one.charAt(0).toUpperCase()}${one.slice(1)}`
  return several.value && shown.value.length > 2 ? name : t('cycle-wheel.shut', { name })
}
/** The middle of the longest closed piece; where bands are many, their labels stand a little apart. */
function labelAt(arcs: Arc[], band: number): number {
  const longest = [...arcs].sort((a, b) => b.sweepDeg - a.sweepDeg)[0]
  return longest ? wrap(longest.startDeg + longest.sweepDeg / 2 + (several.value ? (band % 2 ? 46 : -46) : 0)) : 0
}
/** Where a decompressor may hold the valve a little open: a low ledge in its band. */
function heldArc(valve: Valve, inner: number): string | null {
  const arc = decompressorArc(props.engine, valve)
  return arc && ringPath(C, inner, inner + BAND.value / 3, arc.startDeg, arc.sweepDeg)
}
/** The inner edge of a band walked back, to close a lift bump. */
const lowerEdge = (from: number, sweep: number, inner: number): string => {
  const points: string[] = []
  for (let deg = from + sweep; deg >= from; deg -= 6) points.push(xy(at(C, inner, deg)))
  return `L ${points.join(' L ')} Z`
}

const LOBE = 26
/** Where a lobe's figure stands: beside it, on the side where no stroke's name is. */
const besides = (deg: number): number =>
  [40, -40, 58, -58].map(off => deg + off).find(d => strokes.value.every(s => Math.abs(signedWay(s.deg, d)) > 34)) ??
  deg + 40
const lobes = computed(() =>
  props.arcs
    .filter(a => a.sweepDeg < 700)
    .slice(0, 4)
    .map((arc, i) => {
      const height = LOBE * Math.max(0.12, arc.probability)
      const half = Math.max(arc.sweepDeg / 2, 26)
      const middle = arc.startDeg + arc.sweepDeg / 2
      const edge = polarPath(
        C,
        middle - half,
        middle + half,
        2,
        deg => TRACK + height * Math.exp(-4.5 * ((deg - middle) / half) ** 2),
      )
      const foot: string[] = []
      for (let deg = middle + half; deg >= middle - half; deg -= 2) foot.push(xy(at(C, TRACK, deg)))
      return {
        ...arc,
        likeliest: i === 0,
        path: `${edge} L ${foot.join(' L ')} Z`,
        words: at(C, TRACK + 17, besides(middle)),
      }
    }),
)
const anywhere = computed(() => lobes.value.length === 0)
const hand = computed(() =>
  anywhere.value ? null : { from: at(C, disc.value, props.crankDeg), to: at(C, TRACK + 20, props.crankDeg) },
)
const others = computed(() =>
  lobes.value.slice(1).map(l => ({ from: at(C, disc.value, l.peakDeg), to: at(C, TRACK + 4, l.peakDeg) })),
)
const notch = (deg: number) => {
  const p = at(C, RIM, deg)
  return { x: p.x, y: p.y, turn: deg / 2 }
}
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
/** The strokes of the cylinder in question, each named about its middle. */
const strokes = computed(() =>
  [t('cycle-wheel.power'), t('common.exhaust'), t('common.intake'), t('cycle-wheel.compression')].map((name, i) => ({
    name,
    deg: wrap(90 + i * 180 + cylinderById(props.engine, props.cylinderId).firingAngleDeg),
  })),
)
const isTarget = (stop: Stop): boolean => props.target !== null && stop.crankDeg === props.target.crankDeg
const shownDeg = computed(() => Math.round(wrap(props.crankDeg)))
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
          : t('cycle-wheel.cycle-wheel-crank-most-likely', { shownDeg, name: arcs[0] ? tell(arcs[0].name) : '' })
    "
    :data-crank="crankDeg.toFixed(1)"
  >
    <circle :cx="C.x" :cy="C.y" :r="RIM" fill="var(--sunk)" stroke="var(--ink)" stroke-width="1.5" />
    <circle :cx="C.x" :cy="C.y" :r="RIM_IN" fill="var(--sheet)" stroke="var(--ink)" stroke-width="1" />
    <circle :cx="C.x" :cy="C.y" :r="TRACK" fill="none" stroke="var(--line)" stroke-width="1" />
    <path v-for="(tick, i) in TICKS" :key="i" :d="tick.d" stroke="var(--ink)" :stroke-width="tick.width" />
    <template v-if="!compact">
      <text
        v-for="deg in degrees"
        :key="`d${deg}`"
        :x="at(C, RIM + 19, deg).x"
        :y="at(C, RIM + 19, deg).y + 5"
        text-anchor="middle"
        font-size="14"
        font-weight="600"
        style="fill: var(--ink2)"
      >
        {{ deg }}°
      </text>
      <g v-for="stroke in strokes" :key="stroke.name">
        <path :id="`${id}${stroke.name}`" :d="textArc(C, 196, stroke.deg, 120)" fill="none" />
        <text font-size="15" font-weight="500" style="fill: var(--ink3)">
          <textPath :href="`#${id}${stroke.name}`" startOffset="50%" text-anchor="middle">{{ stroke.name }}</textPath>
        </text>
      </g>
    </template>

    <g v-for="mark in marks" :key="mark.key" :class="['mark', mark.kind]">
      <path
        v-if="mark.kind !== 'advance'"
        :d="`M ${xy(at(C, RIM + 3, mark.deg))} L ${xy(at(C, RIM + 11, mark.deg))}`"
        stroke="var(--ink)"
        :stroke-width="mark.kind === 'top' ? 4 : 1.6"
      />
      <template v-else>
        <path
          v-for="off in [-3, 3]"
          :key="off"
          :d="`M ${xy(at(C, RIM + 3, mark.deg + off))} L ${xy(at(C, RIM + 11, mark.deg + off))}`"
          stroke="var(--ink)"
          stroke-width="1.6"
        />
      </template>
      <text
        v-if="mark.kind === 'top' || (!compact && mark.kind !== 'advance')"
        :x="letterAt(mark.deg, mark.letter).x"
        :y="letterAt(mark.deg, mark.letter).y"
        :text-anchor="letterAt(mark.deg, mark.letter).anchor"
        :font-size="compact ? 24 : mark.kind === 'top' ? 18 : 15"
        :font-weight="mark.kind === 'top' ? 700 : 500"
      >
        {{ mark.letter }}
      </text>
    </g>

    <g v-for="band in bands" :key="band.valve.id" class="band" :class="{ own: band.own }" :data-valve="band.valve.id">
      <path :d="band.bumpRing" :fill="band.own ? 'var(--lift)' : 'var(--lift-other)'" stroke="none" />
      <path v-if="band.held" :d="band.held" class="held" fill="var(--hatch)" />
      <path
        v-for="(path, i) in band.arcs"
        :key="i"
        :d="path"
        :fill="band.own ? 'var(--band)' : 'var(--band-other)'"
        class="closed"
      />
      <template v-if="!compact">
        <path :id="`${id}${band.valve.id}`" :d="band.label" fill="none" />
        <text
          :font-size="BAND > 10 ? 13 : 9"
          font-weight="600"
          :style="{ fill: band.own ? 'var(--sheet)' : 'var(--ink)' }"
        >
          <textPath :href="`#${id}${band.valve.id}`" startOffset="50%" text-anchor="middle">{{ band.name }}</textPath>
        </text>
      </template>
    </g>

    <g
      v-for="stop in stops"
      :key="stop.crankDeg"
      :transform="`translate(${notch(stop.crankDeg).x} ${notch(stop.crankDeg).y}) rotate(${notch(stop.crankDeg).turn})`"
    >
      <path
        d="M -15 0 A 15 15 0 0 0 15 0 Z"
        class="stop"
        :data-stop="stop.crankDeg.toFixed(1)"
        :fill="isTarget(stop) && atStop ? 'var(--petrol)' : isTarget(stop) ? 'var(--petrol-tint)' : 'var(--sheet)'"
        :stroke="isTarget(stop) ? 'var(--petrol)' : 'var(--ink)'"
        stroke-width="2"
        :data-target="isTarget(stop)"
      />
    </g>

    <g v-for="m in margins" :key="`m${m.deg}`" class="margin">
      <path :d="m.d" fill="none" stroke="var(--petrol)" stroke-width="2" />
      <circle :cx="m.dot.x" :cy="m.dot.y" r="4.5" fill="var(--sheet)" stroke="var(--petrol)" stroke-width="2" />
      <g v-for="end in m.ends" :key="end.deg">
        <path :d="end.line" stroke="var(--petrol)" stroke-width="2.4" />
        <text
          :x="end.words.x"
          :y="end.words.y + 5"
          text-anchor="middle"
          font-size="15"
          font-weight="700"
          style="fill: var(--petrol)"
          paint-order="stroke"
          stroke="var(--sheet)"
          stroke-width="5"
        >
          {{ Math.round(Math.abs(end.deg)) }}°
        </text>
      </g>
    </g>
    <path
      v-for="(d, i) in assumedEnds"
      :key="`a${i}`"
      :d="d"
      stroke="var(--ink)"
      stroke-width="2"
      stroke-dasharray="2.5 2.5"
    />

    <path
      v-for="(lobe, i) in lobes"
      :key="i"
      :d="lobe.path"
      class="lobe"
      :data-probability="lobe.probability.toFixed(3)"
      :fill="lobe.likeliest ? 'var(--petrol)' : 'var(--petrol-tint)'"
      :stroke="lobe.likeliest ? 'none' : 'var(--petrol)'"
      stroke-dasharray="4 3"
    />
    <template v-if="!compact">
      <text
        v-for="(lobe, i) in lobes.filter(l => l.probability > 0.02 && l.probability < 0.94)"
        :key="`p${i}`"
        :x="lobe.words.x"
        :y="lobe.words.y + 6"
        text-anchor="middle"
        font-size="17"
        font-weight="700"
        style="fill: var(--petrol)"
      >
        {{ Math.round(lobe.probability * 100) }}%
      </text>
    </template>

    <circle :cx="C.x" :cy="C.y" :r="disc" fill="var(--ground)" stroke="var(--ink)" stroke-width="1.2" />
    <path
      v-for="(o, i) in others"
      :key="`o${i}`"
      :d="`M ${xy(o.from)} L ${xy(o.to)}`"
      stroke="var(--petrol)"
      stroke-width="1.6"
      stroke-dasharray="5 4"
    />
    <path v-if="hand" :d="`M ${xy(hand.from)} L ${xy(hand.to)}`" stroke="var(--petrol)" stroke-width="3" class="hand" />
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
