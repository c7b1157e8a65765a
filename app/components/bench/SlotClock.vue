<script setup lang="ts">
import { computed, ref, useId } from 'vue'
import { clockWords } from '~~/core/adjuster'
import { slotWords } from '../../bench/picture-words'
import type { SlotTry } from '../../bench/slot-tries'
import { t } from '../../words'

/**
 * The adjusting screw from above as a clock. Angles are degrees clockwise from 12 on the clock itself; where nobody
 * noted the slot, 12 o’clock: where you found it. The hatched arc holds the answer. The slot may be dragged to where it
 * points now.
 */
const props = defineProps<{
  slotDeg: number
  noted: boolean
  turnDeg: number | null
  tries: SlotTry[]
  bracket: { fromDeg: number; toDeg: number } | null
  head: string
}>()
const emit = defineEmits<{ drag: [clockDeg: number] }>()
const hatch = useId()
const C = 190
const R = 150
const point = (deg: number, r: number) => ({
  x: C + r * Math.sin((deg * Math.PI) / 180),
  y: C - r * Math.cos((deg * Math.PI) / 180),
})
const line = (deg: number, from: number, to: number) =>
  `M ${point(deg, from).x.toFixed(1)} ${point(deg, from).y.toFixed(1)} L ${point(deg, to).x.toFixed(1)} ${point(deg, to).y.toFixed(1)}`
const minutes = (step: number) => Array.from({ length: 60 / step }, (_, i) => i * step * 6)
const TICKS = [
  { step: 1, from: R - 6, width: 1 },
  { step: 5, from: R - 13, width: 2 },
  { step: 15, from: R - 13, width: 3.4 },
].map(({ step, from, width }) => ({
  width,
  d: minutes(step)
    .map(deg => line(deg, from, R))
    .join(' '),
}))
const hex = Array.from({ length: 6 }, (_, i) => point(i * 60 + 20, 104))
  .map(p => `${p.x.toFixed(1)},${p.y.toFixed(1)}`)
  .join(' ')
const target = computed(() => (props.turnDeg === null ? null : props.slotDeg + props.turnDeg))
const sweep = computed(() => {
  if (target.value === null || !props.turnDeg) return null
  const span = Math.min(Math.abs(props.turnDeg), 355)
  const [from, to] = props.turnDeg > 0 ? [props.slotDeg, props.slotDeg + span] : [props.slotDeg - span, props.slotDeg]
  const large = span > 180 ? 1 : 0
  const arc = (r: number, a: number, b: number, way: number) =>
    `A ${r} ${r} 0 ${large} ${way} ${point(b, r).x.toFixed(1)} ${point(b, r).y.toFixed(1)}`
  return `M ${point(from, 103).x.toFixed(1)} ${point(from, 103).y.toFixed(1)} ${arc(103, from, to, 1)} L ${point(to, 110).x.toFixed(1)} ${point(to, 110).y.toFixed(1)} ${arc(110, to, from, 0)} Z`
})
/** The arc between too loose and too tight, outside the dial's figures. */
const between = computed(() => {
  if (!props.bracket) return null
  const { fromDeg, toDeg } = props.bracket
  const span = Math.min(toDeg - fromDeg, 355)
  const [outer, inner, end] = [R - 4, R - 17, fromDeg + span]
  const large = span > 180 ? 1 : 0
  const p = (deg: number, r: number) => `${point(deg, r).x.toFixed(1)} ${point(deg, r).y.toFixed(1)}`
  return `M ${p(fromDeg, inner)} A ${inner} ${inner} 0 ${large} 1 ${p(end, inner)} L ${p(end, outer)} A ${outer} ${outer} 0 ${large} 0 ${p(fromDeg, outer)} Z`
})
const svg = ref<SVGSVGElement | null>(null)
const dragging = ref(false)
/** Where a pointer stands on the clock. */
function pull(event: PointerEvent): void {
  if (!dragging.value || !svg.value) return
  const matrix = svg.value.getScreenCTM()
  if (!matrix) return
  const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse())
  emit('drag', ((Math.atan2(at.x - C, C - at.y) * 180) / Math.PI + 360) % 360)
}
function grab(event: PointerEvent): void {
  if (props.turnDeg === null) return
  dragging.value = true
  svg.value?.setPointerCapture(event.pointerId)
  pull(event)
}
const COLORS = { loose: 'var(--loose)', tight: 'var(--tight)', in: 'var(--petrol)', unproved: 'var(--hatch)' }
/** So near on the dial that words would lie on each other: the later one keeps its own. */
const CROWDED_DEG = 16
const placed = computed(() =>
  props.tries.slice(-3).map((t, i, all) => ({
    ...t,
    words: all.slice(i + 1).some(later => Math.abs(later.deg - t.deg) < CROWDED_DEG) ? '' : t.words,
    at: point(t.deg, R + 18),
    right: Math.sin((t.deg * Math.PI) / 180) >= -0.01,
  })),
)
const turnAt = computed(() =>
  target.value === null ? null : { p: point(target.value, 60), right: Math.sin((target.value * Math.PI) / 180) >= 0 },
)
</script>

<template>
  <svg
    ref="svg"
    viewBox="-60 0 500 392"
    class="clock"
    :class="{ movable: turnDeg !== null }"
    role="img"
    :aria-label="slotWords(props)"
    :data-slot="slotDeg"
    @pointerdown="grab"
    @pointermove="pull"
    @pointerup="dragging = false"
    @pointercancel="dragging = false"
  >
    <defs>
      <pattern :id="hatch" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect width="7" height="7" fill="var(--sheet)" />
        <path d="M 0 0 V 7" stroke="var(--petrol)" stroke-width="2.4" />
      </pattern>
      <pattern :id="`${hatch}b`" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect width="6" height="6" fill="var(--hatch-ground)" />
        <path d="M 0 0 V 6" stroke="var(--hatch)" stroke-width="2.2" />
      </pattern>
    </defs>
    <circle :cx="C" :cy="C" :r="R" fill="var(--sheet)" stroke="var(--ink)" stroke-width="1.8" />
    <path v-for="(tick, i) in TICKS" :key="i" :d="tick.d" stroke="var(--ink)" :stroke-width="tick.width" />
    <text
      v-for="h in [12, 3, 6, 9]"
      :key="h"
      :x="point(h * 30, R - 25).x"
      :y="point(h * 30, R - 25).y + 6"
      text-anchor="middle"
      font-size="17"
      font-weight="600"
    >
      {{ h }}
    </text>
    <polygon :points="hex" fill="var(--metal-light)" stroke="var(--ink)" stroke-width="1.8" />
    <circle :cx="C" :cy="C" r="86" fill="none" stroke="var(--ink)" stroke-width="1" />
    <circle :cx="C" :cy="C" r="60" fill="var(--metal)" stroke="var(--ink)" stroke-width="1.8" />
    <path
      v-if="between"
      :d="between"
      :fill="`url(#${hatch}b)`"
      stroke="var(--hatch)"
      stroke-width="1.4"
      class="between"
    />
    <path v-if="sweep" :d="sweep" :fill="`url(#${hatch})`" stroke="var(--petrol)" stroke-width="1.6" class="sweep" />
    <g v-if="target !== null" :transform="`rotate(${target} ${C} ${C})`">
      <rect
        v-if="head === 'slot'"
        :x="C - 9"
        :y="C - 58"
        width="18"
        height="116"
        fill="none"
        stroke="var(--petrol)"
        stroke-width="2"
        stroke-dasharray="6 4"
      />
      <rect
        v-else
        :x="C - 24"
        :y="C - 24"
        width="48"
        height="48"
        fill="none"
        stroke="var(--petrol)"
        stroke-width="2"
        stroke-dasharray="6 4"
      />
    </g>
    <path v-if="target !== null" :d="line(target, 62, R + 8)" stroke="var(--petrol)" stroke-width="3.4" />
    <g :transform="`rotate(${slotDeg} ${C} ${C})`" class="slot">
      <rect v-if="head === 'slot'" :x="C - 9" :y="C - 58" width="18" height="116" fill="var(--ink)" />
      <rect v-else :x="C - 24" :y="C - 24" width="48" height="48" :rx="head === 'square' ? 2 : 16" fill="var(--ink)" />
      <circle
        :cx="C"
        :cy="head === 'slot' ? C - 46 : C - 40"
        r="6"
        fill="var(--sheet)"
        stroke="var(--ink)"
        stroke-width="1.6"
      />
    </g>
    <g v-for="(tried, i) in placed" :key="i">
      <path :d="line(tried.deg, R - 14, R + 6)" :stroke="COLORS[tried.side]" stroke-width="2.4" />
      <path
        v-if="tried.side === 'tight'"
        :transform="`translate(${tried.at.x} ${tried.at.y})`"
        d="M -9 -8 H 9 L 0 8 Z"
        fill="var(--tight)"
      />
      <path
        v-else-if="tried.side === 'loose'"
        :transform="`translate(${tried.at.x} ${tried.at.y})`"
        d="M -9 8 H 9 L 0 -8 Z"
        fill="var(--loose-fill)"
        stroke="var(--loose)"
        stroke-width="1.4"
      />
      <circle v-else :cx="tried.at.x" :cy="tried.at.y" r="7" :fill="COLORS[tried.side]" />
      <text
        :x="tried.at.x + (tried.right ? 15 : -15)"
        :y="tried.at.y + 5"
        :text-anchor="tried.right ? 'start' : 'end'"
        font-size="16"
        font-weight="600"
        :style="{ fill: COLORS[tried.side] }"
      >
        {{ tried.words }}
      </text>
    </g>
    <text
      v-if="turnAt && turnDeg !== null"
      :x="C"
      :y="C + R + 34"
      text-anchor="middle"
      font-size="24"
      font-weight="700"
      style="fill: var(--petrol)"
    >
      {{
        t('slot-clock.turned', {
          deg: Math.abs(turnDeg),
          way: turnDeg >= 0 ? t('runs.clockwise') : t('runs.anticlockwise'),
        })
      }}
    </text>
    <text v-else :x="C" :y="C + R + 34" text-anchor="middle" font-size="17" font-weight="600" style="fill: var(--ink2)">
      {{ noted ? t('slot-clock.slot-at', { slotDeg: clockWords(slotDeg) }) : t('slot-clock.as-found') }}
    </text>
  </svg>
</template>

<style scoped>
.clock {
  display: block;
  width: 100%;
  height: 100%;
}
.movable {
  cursor: grab;
  touch-action: none;
}
</style>
