<script setup lang="ts">
import { computed } from 'vue'
import type { MarkShape } from '~~/core/engine'

/**
 * One mark of the rim, unrolled, about its own middle: what it is made as, and its letters lying on their side, so as
 * they pass under a pointer above. `sign` is the way the rim moves: 1 right, -1 left.
 */
const props = defineProps<{
  shape: MarkShape
  letter: string
  sign: number
  /** Half the height of the strip. */
  half: number
  bold: boolean
  color?: string
  fontSize: number
  /** Advance marks stand without their letter. */
  bare?: boolean
}>()
const color = computed(() => props.color ?? 'var(--ink)')
const round = computed(() => Math.min(props.half * 0.34, 9))
/** How much farther off the letters stand where the mark is broad. */
const BESIDE: Record<MarkShape, number> = {
  'line': 0,
  'painted line': 4,
  'dot': 6,
  'hole': 6,
  'dash pair': 2,
  'letters': 0,
  'edge': 0,
}
/** Letters stand beside their mark, on the side that passes the pointer later; letters alone are the mark. */
const lettersX = computed(() =>
  props.shape === 'letters' ? 0 : props.sign * (props.fontSize * 0.5 + (props.bold ? 3.5 : 3) + BESIDE[props.shape]),
)
/** More than this does not fit across the strip: such a mark is told by its shape. */
const lettered = computed(() => !props.bare && props.letter.length <= 4)
</script>

<template>
  <g class="mark-shape" :data-shape="shape">
    <path v-if="shape === 'line'" :d="`M 0 ${-half} V ${half}`" :stroke="color" :stroke-width="bold ? 4 : 1.8" />
    <rect
      v-else-if="shape === 'painted line'"
      x="-5"
      :y="-half"
      width="10"
      :height="half * 2"
      fill="var(--white)"
      :stroke="color"
      :stroke-width="bold ? 2.6 : 1.4"
    />
    <path
      v-else-if="shape === 'dash pair'"
      :d="`M -3.5 ${-half} V ${half} M 3.5 ${-half} V ${half}`"
      :stroke="color"
      :stroke-width="bold ? 2.4 : 1.6"
    />
    <circle v-else-if="shape === 'dot'" :r="round * 0.8" :fill="color" />
    <circle v-else-if="shape === 'hole'" :r="round" fill="var(--white)" :stroke="color" stroke-width="2.6" />
    <template v-else-if="shape === 'edge'">
      <rect x="0" :y="-half" :width="half * 0.9" :height="half * 2" fill="var(--metal-mid)" />
      <path :d="`M 0 ${-half} V ${half}`" :stroke="color" :stroke-width="bold ? 4 : 1.8" />
    </template>
    <text
      v-if="lettered"
      :transform="`translate(${lettersX} 0) rotate(${-90 * sign})`"
      text-anchor="middle"
      dominant-baseline="central"
      :font-size="fontSize"
      :font-weight="bold ? 700 : 500"
      :style="{ fill: color }"
    >
      {{ letter }}
    </text>
  </g>
</template>
