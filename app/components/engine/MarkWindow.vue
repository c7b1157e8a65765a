<script setup lang="ts">
import { computed } from 'vue'
import { type Engine, shapeOf, signedWay } from '~~/core/engine'
import { t } from '../../words'
import MarkShape from './MarkShape.vue'

/**
 * The marks as they stand in their window when the right one lines up: the rim unrolled, letters on their side.
 * The rim moves left where the crank turns anticlockwise from where the mechanic stands, right where clockwise; what
 * passes first lies furthest that way.
 */
const props = defineProps<{ engine: Engine; markIndex: number }>()

const W = 132
const H = 88
const PX_PER_DEG = 2.5
const NOTCH = computed(() => (props.engine.turning.direction === 'clockwise' ? 40 : W - 40))
const sign = computed(() => (props.engine.turning.direction === 'clockwise' ? 1 : -1))
/** Where each mark stands across the window, in px; those that passed before the right one lie along the motion. */
const lines = computed(() => {
  const at = props.engine.marks[props.markIndex]?.angleDeg ?? 0
  return props.engine.marks
    .map((mark, i) => ({
      ...mark,
      right: i === props.markIndex,
      x: NOTCH.value - sign.value * signedWay(at, mark.angleDeg, 360) * PX_PER_DEG,
    }))
    .filter(l => l.x > 8 && l.x < W - 8)
})
const right = computed(() => props.engine.marks[props.markIndex])
</script>

<template>
  <svg
    class="window"
    :viewBox="`0 0 ${W} ${H + 16}`"
    role="img"
    :aria-label="right && t('mark-window.when-right-the-line-beside', { letter: right.letter, shape: shapeOf(right) })"
  >
    <rect
      x="1"
      y="15"
      :width="W - 2"
      :height="H - 16"
      rx="12"
      fill="var(--metal-light)"
      stroke="var(--ink)"
      stroke-width="2"
    />
    <path d="M 10 30 H 122 M 10 73 H 122" stroke="var(--line)" stroke-width="1" />
    <g
      v-for="line in lines"
      :key="line.letter + line.angleDeg"
      class="line"
      :data-letter="line.letter"
      :data-x="line.x.toFixed(1)"
    >
      <MarkShape
        :transform="`translate(${line.x} 51.5)`"
        :shape="shapeOf(line)"
        :letter="line.letter"
        :sign="sign"
        :half="19.5"
        :bold="line.right"
        :color="line.right ? 'var(--petrol)' : 'var(--ink)'"
        :font-size="17"
        :bare="line.kind === 'advance'"
      />
    </g>
    <path :d="`M ${NOTCH - 9} 15 L ${NOTCH + 9} 15 L ${NOTCH} 30 Z`" fill="var(--ink)" />
    <path :d="`M ${NOTCH - 9} ${H - 1} L ${NOTCH + 9} ${H - 1} L ${NOTCH} ${H - 15} Z`" fill="var(--ink)" />
    <path
      :d="sign > 0 ? `M 84 ${H + 8} h 32 l -8 -5 m 8 5 l -8 5` : `M 48 ${H + 8} h -32 l 8 -5 m -8 5 l 8 5`"
      fill="none"
      stroke="var(--ink2)"
      stroke-width="1.8"
    />
  </svg>
</template>

<style scoped>
.window {
  display: block;
  width: 100%;
  height: auto;
}
</style>
