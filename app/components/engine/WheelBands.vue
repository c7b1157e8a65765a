<script setup lang="ts">
import { computed, useId } from 'vue'
import {
  baseCircle,
  closedArcs,
  cylinderById,
  decompressorArc,
  type Engine,
  greatestLiftMm,
  localAngle,
  type Valve,
  valveLift,
} from '~~/core/engine'
import type { Stop } from '~~/core/stops'
import { named, t } from '../../words'
import { at, polarPath, ringPath, textArc, xy } from './geometry'
import { bandRing, bandsFor, C, labelAt } from './wheel-layout'

/** Each valve's band on the cycle wheel: closed where it is full, its lift where it opens, what a decompressor holds. */
const props = defineProps<{ engine: Engine; target: Stop | null; cylinderId: string; compact: boolean }>()
const id = useId()
const shown = computed(() => bandsFor(props.engine, props.target))
const several = computed(() => props.engine.cylinders.length > 1)
const closed = computed(() => closedArcs(props.engine))
const bands = computed(() =>
  shown.value.map((valve, i) => {
    const { inner, outer, band } = bandRing(i, shown.value.length)
    const open = baseCircle(props.engine, valve)
    const openFrom = open.startDeg + open.sweepDeg
    const openSweep = 720 - open.sweepDeg
    const lift = (deg: number) =>
      valveLift(props.engine, valve.role, localAngle(props.engine, valve, deg)) / greatestLiftMm(props.engine)
    const arcs = closed.value[valve.id] ?? []
    return {
      valve,
      labelSize: band > 10 ? 13 : 9,
      own: valve.cylinderId === props.cylinderId,
      name: bandName(valve),
      arcs: arcs.map(a => ringPath(C, inner, outer, a.startDeg, a.sweepDeg)),
      bumpRing:
        polarPath(C, openFrom, openFrom + openSweep, 6, deg => inner + band * Math.min(1, lift(deg))) +
        ' ' +
        lowerEdge(openFrom, openSweep, inner),
      label: textArc(C, (inner + outer) / 2, labelAt(arcs, i, several.value), 120),
      held: heldArc(valve, inner, band),
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
/** Where a decompressor may hold the valve a little open: a low ledge in its band. */
function heldArc(valve: Valve, inner: number, band: number): string | null {
  const arc = decompressorArc(props.engine, valve)
  return arc && ringPath(C, inner, inner + band / 3, arc.startDeg, arc.sweepDeg)
}
/** The inner edge of a band walked back, to close a lift bump. */
const lowerEdge = (from: number, sweep: number, inner: number): string => {
  const points: string[] = []
  for (let deg = from + sweep; deg >= from; deg -= 6) points.push(xy(at(C, inner, deg)))
  return `L ${points.join(' L ')} Z`
}
</script>

<template>
  <g>
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
        <text :font-size="band.labelSize" font-weight="600" :style="{ fill: band.own ? 'var(--sheet)' : 'var(--ink)' }">
          <textPath :href="`#${id}${band.valve.id}`" startOffset="50%" text-anchor="middle">{{ band.name }}</textPath>
        </text>
      </template>
    </g>
  </g>
</template>
