<script setup lang="ts">
import { computed, useId } from 'vue'
import { type Arc, baseCircle, closedArcs, decompressorArc, type Engine, greatestLiftMm, localAngle, type Role, type Valve, valveLift, wrap } from '~~/core/engine'
import type { BeliefArc } from '~~/core/position'
import type { Stop } from '~~/core/stops'
import { at, polarPath, ringPath, textArc, xy } from './geometry'
import EngineSection from './EngineSection.vue'

/** The 720° cycle once round, with marks, closed arcs, belief and stops, and the engine at the likeliest angle in its middle. */
const props = defineProps<{ engine: Engine, arcs: BeliefArc[], crankDeg: number, stops: Stop[], atStop: boolean, feel: Role[], compact?: boolean }>()

const id = useId()
const C = { x: 256, y: 256 }
const RIM = 226
const RIM_IN = 212
const TRACK = 180
const BAND = 15
const GAP = 3
const disc = computed(() => TRACK - 4 - props.engine.valves.length * (BAND + GAP) - 2)

const marks = computed(() => [0, 360].flatMap(turn => props.engine.marks.map((mark, i) => ({ ...mark, key: `${i}-${turn}`, deg: mark.angleDeg + turn }))))
const hasTop = computed(() => props.engine.marks.some(m => m.kind === 'top'))
const degrees = computed(() => [90, 180, 270, 360, 450, 540, 630, 0].filter(d => d % 360 !== 0 || !hasTop.value))
/** Rim ticks each 10°, longer each 30°, across the rim each 90°: three paths in all. */
const TICKS = [{ every: 90, from: RIM_IN, width: 2.4 }, { every: 30, from: RIM - 9, width: 1 }, { every: 10, from: RIM - 5, width: 1 }].map(({ every, from, width }) => ({
  width, d: Array.from({ length: 720 / every }, (_, i) => `M ${xy(at(C, from, i * every))} L ${xy(at(C, RIM, i * every))}`).join(' '),
}))
const strokes = [{ name: 'Power', deg: 90 }, { name: 'Exhaust', deg: 270 }, { name: 'Intake', deg: 450 }, { name: 'Compression', deg: 630 }]

const bands = computed(() => props.engine.valves.map((valve, i) => {
  const outer = TRACK - 4 - i * (BAND + GAP)
  const inner = outer - BAND
  const open = baseCircle(props.engine, valve)
  const openFrom = open.startDeg + open.sweepDeg
  const openSweep = 720 - open.sweepDeg
  const lift = (deg: number) => valveLift(props.engine, valve.role, localAngle(props.engine, valve, deg)) / greatestLiftMm(props.engine)
  const arcs = closedArcs(props.engine)[valve.id] ?? []
  return {
    valve, arcs: arcs.map(a => ringPath(C, inner, outer, a.startDeg, a.sweepDeg)),
    bumpRing: polarPath(C, openFrom, openFrom + openSweep, 6, deg => inner + BAND * Math.min(1, lift(deg))) + ' ' + lowerEdge(openFrom, openSweep, inner),
    label: textArc(C, (inner + outer) / 2, labelAt(arcs), 110),
    held: heldArc(valve, inner),
  }
}))
/** The middle of the longest closed piece. */
function labelAt(arcs: Arc[]): number {
  const longest = [...arcs].sort((a, b) => b.sweepDeg - a.sweepDeg)[0]
  return longest ? wrap(longest.startDeg + longest.sweepDeg / 2) : 0
}
/** Where a decompressor may hold the valve a little open: a low ledge in its band. */
function heldArc(valve: Valve, inner: number): string | null {
  const arc = decompressorArc(props.engine.decompressor, valve.role)
  const firing = props.engine.cylinders.find(c => c.id === valve.cylinderId)?.firingAngleDeg ?? 0
  return arc && ringPath(C, inner, inner + 5, arc.startDeg + firing, arc.sweepDeg)
}
/** The inner edge of a band walked back, to close a lift bump. */
const lowerEdge = (from: number, sweep: number, inner: number): string => {
  const points: string[] = []
  for (let deg = from + sweep; deg >= from; deg -= 6) points.push(xy(at(C, inner, deg)))
  return `L ${points.join(' L ')} Z`
}

const LOBE = 26
const lobes = computed(() => props.arcs.filter(a => a.sweepDeg < 700).slice(0, 4).map((arc, i) => {
  const height = LOBE * Math.max(0.12, arc.probability)
  const half = Math.max(arc.sweepDeg / 2, 26)
  const middle = arc.startDeg + arc.sweepDeg / 2
  const edge = polarPath(C, middle - half, middle + half, 2, deg => TRACK + height * Math.exp(-4.5 * ((deg - middle) / half) ** 2))
  const foot: string[] = []
  for (let deg = middle + half; deg >= middle - half; deg -= 2) foot.push(xy(at(C, TRACK, deg)))
  return { ...arc, likeliest: i === 0, path: `${edge} L ${foot.join(' L ')} Z`, words: at(C, TRACK + 17, middle + (middle > 359 && middle < 361 ? -40 : 40)) }
}))
const anywhere = computed(() => lobes.value.length === 0)
const hand = computed(() => anywhere.value ? null : { from: at(C, disc.value, props.crankDeg), to: at(C, TRACK + 20, props.crankDeg) })
const others = computed(() => lobes.value.slice(1).map(l => ({ from: at(C, disc.value, l.peakDeg), to: at(C, TRACK + 4, l.peakDeg) })))
const notch = (deg: number) => {
  const p = at(C, RIM, deg)
  return { x: p.x, y: p.y, turn: deg / 2 }
}
const sectionScale = computed(() => disc.value / 158)
const shownDeg = computed(() => Math.round(wrap(props.crankDeg)))
</script>

<template>
  <svg class="wheel" :viewBox="compact ? '0 0 512 512' : '-34 0 580 512'" role="img" :aria-label="anywhere ? 'Cycle wheel: the crank may be anywhere' : `Cycle wheel: crank most likely at ${shownDeg}°, ${arcs[0]?.name}`" :data-crank="crankDeg.toFixed(1)">
    <circle :cx="C.x" :cy="C.y" :r="RIM" fill="var(--sunk)" stroke="var(--ink)" stroke-width="1.5" />
    <circle :cx="C.x" :cy="C.y" :r="RIM_IN" fill="var(--sheet)" stroke="var(--ink)" stroke-width="1" />
    <circle :cx="C.x" :cy="C.y" :r="TRACK" fill="none" stroke="var(--line)" stroke-width="1" />
    <path v-for="(tick, i) in TICKS" :key="i" :d="tick.d" stroke="var(--ink)" :stroke-width="tick.width" />
    <template v-if="!compact">
      <text v-for="deg in degrees" :key="`d${deg}`" :x="at(C, RIM + 19, deg).x" :y="at(C, RIM + 19, deg).y + 5" text-anchor="middle" font-size="14" font-weight="600" style="fill: var(--ink2)">{{ deg }}°</text>
      <g v-for="stroke in strokes" :key="stroke.name">
        <path :id="`${id}${stroke.name}`" :d="textArc(C, 196, stroke.deg, 120)" fill="none" />
        <text font-size="15" font-weight="500" style="fill: var(--ink3)"><textPath :href="`#${id}${stroke.name}`" startOffset="50%" text-anchor="middle">{{ stroke.name }}</textPath></text>
      </g>
    </template>

    <g v-for="mark in marks" :key="mark.key" :class="['mark', mark.kind]">
      <path v-if="mark.kind !== 'advance'" :d="`M ${xy(at(C, RIM + 3, mark.deg))} L ${xy(at(C, RIM + 11, mark.deg))}`" stroke="var(--ink)" :stroke-width="mark.kind === 'top' ? 4 : 1.6" />
      <template v-else><path v-for="off in [-3, 3]" :key="off" :d="`M ${xy(at(C, RIM + 3, mark.deg + off))} L ${xy(at(C, RIM + 11, mark.deg + off))}`" stroke="var(--ink)" stroke-width="1.6" /></template>
      <text v-if="mark.kind === 'top' || (!compact && mark.kind !== 'advance')" :x="at(C, RIM + 21, mark.deg).x" :y="at(C, RIM + 21, mark.deg).y + 6" text-anchor="middle" :font-size="compact ? 24 : mark.kind === 'top' ? 18 : 15" :font-weight="mark.kind === 'top' ? 700 : 500">{{ mark.letter }}</text>
    </g>

    <g v-for="band in bands" :key="band.valve.id" class="band" :data-valve="band.valve.id">
      <path :d="band.bumpRing" fill="var(--lift)" stroke="none" />
      <path v-if="band.held" :d="band.held" class="held" fill="var(--hatch)" />
      <path v-for="(path, i) in band.arcs" :key="i" :d="path" fill="var(--band)" class="closed" />
      <template v-if="!compact">
        <path :id="`${id}${band.valve.id}`" :d="band.label" fill="none" />
        <text font-size="13.5" font-weight="600" style="fill: var(--sheet)"><textPath :href="`#${id}${band.valve.id}`" startOffset="50%" text-anchor="middle">{{ band.valve.name }} shut</textPath></text>
      </template>
    </g>

    <g v-for="stop in stops" :key="stop.crankDeg" :transform="`translate(${notch(stop.crankDeg).x} ${notch(stop.crankDeg).y}) rotate(${notch(stop.crankDeg).turn})`">
      <path d="M -15 0 A 15 15 0 0 0 15 0 Z" class="stop" :data-stop="stop.crankDeg.toFixed(1)" :fill="atStop ? 'var(--petrol)' : 'var(--sheet)'" :stroke="atStop ? 'var(--petrol)' : 'var(--ink)'" stroke-width="2" />
    </g>

    <path v-for="(lobe, i) in lobes" :key="i" :d="lobe.path" class="lobe" :data-probability="lobe.probability.toFixed(3)" :fill="lobe.likeliest ? 'var(--petrol)' : 'var(--petrol-tint)'" :stroke="lobe.likeliest ? 'none' : 'var(--petrol)'" stroke-dasharray="4 3" />
    <template v-if="!compact">
      <text v-for="(lobe, i) in lobes.filter(l => l.probability > 0.02 && l.probability < 0.94)" :key="`p${i}`" :x="lobe.words.x" :y="lobe.words.y + 6" text-anchor="middle" font-size="17" font-weight="700" style="fill: var(--petrol)">{{ Math.round(lobe.probability * 100) }}%</text>
    </template>

    <circle :cx="C.x" :cy="C.y" :r="disc" fill="var(--ground)" stroke="var(--ink)" stroke-width="1.2" />
    <path v-for="(o, i) in others" :key="`o${i}`" :d="`M ${xy(o.from)} L ${xy(o.to)}`" stroke="var(--petrol)" stroke-width="1.6" stroke-dasharray="5 4" />
    <path v-if="hand" :d="`M ${xy(hand.from)} L ${xy(hand.to)}`" stroke="var(--petrol)" stroke-width="3" class="hand" />
    <g :transform="`translate(${C.x} ${C.y}) scale(${sectionScale})`" :opacity="anywhere ? 0.4 : 1">
      <EngineSection :engine="engine" :crank-deg="crankDeg" :feel="feel" :labels="!compact" />
    </g>
  </svg>
</template>

<style scoped>
.wheel { display: block; width: 100%; height: 100%; }
</style>
