<script setup lang="ts">
import { computed } from 'vue'
import type { Engine } from '~~/core/engine'
import type { Stop } from '~~/core/stops'
import { at } from './geometry'
import { assumedEnds, C, marginArcs, RIM } from './wheel-layout'

/** The stops of the plan as notches in the rim; at rest what each has to spare, and which ends are assumed. */
const props = defineProps<{
  engine: Engine
  stops: Stop[]
  target: Stop | null
  atStop: boolean
  atRest: boolean
}>()
const margins = computed(() => (props.atRest ? marginArcs(props.stops) : []))
const ends = computed(() => (props.atRest ? assumedEnds(props.engine) : []))
const notch = (deg: number): string => {
  const { x, y } = at(C, RIM, deg)
  return `translate(${x} ${y}) rotate(${deg / 2})`
}
const isTarget = (stop: Stop): boolean => props.target !== null && stop.crankDeg === props.target.crankDeg
</script>

<template>
  <g>
    <g v-for="stop in stops" :key="stop.crankDeg" :transform="notch(stop.crankDeg)">
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
      v-for="(d, i) in ends"
      :key="`a${i}`"
      :d="d"
      stroke="var(--ink)"
      stroke-width="2"
      stroke-dasharray="2.5 2.5"
    />
  </g>
</template>
