<script setup lang="ts">
import { computed } from 'vue'
import { type Engine, shapeOf } from '~~/core/engine'
import { t } from '../../words'
import MarkShape from '../engine/MarkShape.vue'

/** All marks of the rim, unrolled under the fixed pointer: the one that passes first lies furthest along the motion. */
const props = defineProps<{ engine: Engine }>()
const W = 328
const sign = computed(() => (props.engine.turning.direction === 'clockwise' ? 1 : -1))
/** In the order in which they pass: those shortly before the first top mark, then it, then what follows. */
const ordered = computed(() => {
  const { marks } = props.engine
  const top = marks.find(m => m.kind === 'top')?.angleDeg ?? 0
  return marks
    .map(mark => ({ ...mark, beforeDeg: ((top - mark.angleDeg + 720 + 180) % 360) - 180 }))
    .sort((a, b) => b.beforeDeg - a.beforeDeg)
})
const KINDS = { top: t('mark-strip.top'), fire: t('mark-strip.fires'), advance: t('mark-strip.advance') }
const lines = computed(() => {
  const n = ordered.value.length
  return ordered.value.map((mark, i) => {
    const along = n === 1 ? 0.5 : i / (n - 1)
    return {
      ...mark,
      nth: t('mark-strip.nth', { nth: i + 1 }),
      x: 50 + (sign.value > 0 ? 1 - along : along) * (W - 100),
    }
  })
})
function words({ beforeDeg, kind }: { beforeDeg: number; kind: keyof typeof KINDS }): string {
  const deg = Number(Math.abs(beforeDeg).toFixed(1))
  if (deg < 0.5) return KINDS[kind]
  return beforeDeg > 0 ? t('mark-strip.before', { deg }) : t('mark-strip.after', { deg })
}
</script>

<template>
  <p v-if="engine.marks.length === 0" class="none">{{ t('mark-strip.no-marks-the-rod-finds') }}</p>
  <svg
    v-else
    class="strip"
    :viewBox="`0 0 ${W} 150`"
    role="img"
    :aria-label="t('mark-strip.marks-as-they-pass', { lines: lines.map(l => `${l.letter} ${words(l)}`).join(', ') })"
  >
    <path
      :d="sign < 0 ? 'M 30 10 H 4 l 7 -5 m -7 5 l 7 5' : `M ${W - 30} 10 H ${W - 4} l -7 -5 m 7 5 l -7 5`"
      fill="none"
      stroke="var(--ink2)"
      stroke-width="1.8"
    />
    <text
      :x="sign < 0 ? 38 : W - 38"
      y="15"
      :text-anchor="sign < 0 ? 'start' : 'end'"
      font-size="14"
      style="fill: var(--ink2)"
    >
      {{ t('mark-strip.rim-moves') }}
    </text>
    <rect x="1" y="24" :width="W - 2" height="74" fill="var(--sunk)" stroke="var(--edge)" stroke-dasharray="5 3" />
    <g v-for="l in lines" :key="l.letter + l.angleDeg">
      <MarkShape
        :transform="`translate(${l.x} 61)`"
        :shape="shapeOf(l)"
        :letter="l.letter"
        :sign="sign"
        :half="31"
        :bold="l.kind === 'top'"
        :font-size="19"
        :bare="l.kind === 'advance'"
      />
      <text :x="l.x" y="116" text-anchor="middle" font-size="14" :font-weight="l.kind === 'top' ? 700 : 500">
        {{ l.nth }}: {{ l.kind === 'advance' ? KINDS.advance : l.letter }}
      </text>
      <text :x="l.x" y="133" text-anchor="middle" font-size="13.5" style="fill: var(--ink2)">{{ words(l) }}</text>
    </g>
  </svg>
</template>

<style scoped>
.strip {
  width: 100%;
  display: block;
}
.none {
  color: var(--ink2);
  font-size: 15px;
}
</style>
