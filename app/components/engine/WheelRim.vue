<script setup lang="ts">
import { computed, useId } from 'vue'
import { type Engine, type Mark, shapeOf } from '~~/core/engine'
import { t } from '../../words'
import { at, textArc, xy } from './geometry'
import { C, degreesShown, letterAt, RIM, RIM_IN, strokeMiddles, TRACK } from './wheel-layout'

/** The rim of the cycle wheel: degrees, the strokes of the cylinder in question, and the flywheel's marks, twice round. */
const props = defineProps<{ engine: Engine; cylinderId: string; compact: boolean }>()
const id = useId()
const marks = computed(() =>
  [0, 360].flatMap(turn =>
    props.engine.marks.map((mark, i) => ({ ...mark, key: `${i}-${turn}`, deg: mark.angleDeg + turn })),
  ),
)
/** From the rim outward: a line, two dashes, or an edge that goes on along the rim. Letters alone have no line. */
function rimPath(mark: Mark & { deg: number }): string {
  const out = (deg: number) => `M ${xy(at(C, RIM + 3, deg))} L ${xy(at(C, RIM + 11, deg))}`
  const shape = shapeOf(mark)
  if (shape === 'letters') return ''
  if (shape === 'dash pair') return `${out(mark.deg - 3)} ${out(mark.deg + 3)}`
  return shape === 'edge' ? `${out(mark.deg)} L ${xy(at(C, RIM + 11, mark.deg + 9))}` : out(mark.deg)
}
const rimWidth = (mark: Mark): number => (mark.shape === 'painted line' ? 8 : mark.kind === 'top' ? 4 : 1.6)
const degrees = computed(() => degreesShown(props.engine.marks))
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

/** Each named about its middle. */
const strokes = computed(() => {
  const names = [t('cycle-wheel.power'), t('common.exhaust'), t('common.intake'), t('cycle-wheel.compression')]
  return strokeMiddles(props.engine, props.cylinderId).map((deg, i) => ({ deg, name: names[i]! }))
})
</script>

<template>
  <g>
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
      <circle
        v-if="mark.shape === 'dot' || mark.shape === 'hole'"
        :cx="at(C, RIM + 8, mark.deg).x"
        :cy="at(C, RIM + 8, mark.deg).y"
        r="4.5"
        :fill="mark.shape === 'dot' ? 'var(--ink)' : 'var(--white)'"
        stroke="var(--ink)"
        stroke-width="2"
      />
      <path v-else :d="rimPath(mark)" fill="none" stroke="var(--ink)" :stroke-width="rimWidth(mark)" />
      <text
        v-if="mark.letter.length <= 4 && (mark.kind === 'top' || (!compact && mark.kind !== 'advance'))"
        :x="letterAt(mark.deg, mark.letter).x"
        :y="letterAt(mark.deg, mark.letter).y"
        :text-anchor="letterAt(mark.deg, mark.letter).anchor"
        :font-size="compact ? 24 : mark.kind === 'top' ? 18 : 15"
        :font-weight="mark.kind === 'top' ? 700 : 500"
      >
        {{ mark.letter }}
      </text>
    </g>
  </g>
</template>
