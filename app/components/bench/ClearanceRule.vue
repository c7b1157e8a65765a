<script setup lang="ts">
import { computed, useId } from 'vue'
import type { Trial, Verdict } from '~~/core/feeler'
import { ruleWords } from '../../bench/picture-words'
import { VERDICT_COLOR } from './verdict-words'

/**
 * A steel rule for one clearance: mm hang from the top, thou rise from the bottom, the spec a field, the reading a
 * bracket.
 */
const props = defineProps<{
  minMm: number
  maxMm: number
  targetMm: number
  topMm: number
  reading: { loMm: number; hiMm: number | null } | null
  verdict: Verdict | 'not measured'
  asLeft?: { loMm: number; hiMm: number | null } | null
  /**
   * Each trial of the reading: a ring for a blade that went free, filled for a drag, a cross for one that was refused.
   */
  trials?: { mm: number; feel: Trial['feel'] }[]
  /** Length of the rule's body in its own units; its height stays. */
  length?: number
  /** Fewer figures, where many rules stand side by side. */
  sparse?: boolean
  /** Other limits to be seen against these, dashed. */
  ghost?: { minMm: number; maxMm: number }
}>()
const hatch = useId()
const length = computed(() => props.length ?? 280)
const x = (mm: number): number => 8 + Math.min(mm / props.topMm, 1.1) * (length.value - 16)
const mmTicks = computed(() => Array.from({ length: Math.floor(props.topMm / 0.01 + 1e-9) + 1 }, (_, i) => i))
const label = computed(() => (props.topMm > 0.31 || props.sparse ? 10 : 5))
const thou = computed(() => Array.from({ length: Math.floor(props.topMm / 0.0254 + 1e-9) + 1 }, (_, i) => i))
/** All ticks as four paths: a rule is drawn anew at each answer. */
const ticks = computed(() => {
  const path = (list: number[], at: (i: number) => number, from: number, to: number) =>
    list.map(i => `M ${x(at(i)).toFixed(1)} ${from} V ${to}`).join(' ')
  const mm = (i: number) => i / 100
  const th = (i: number) => i * 0.0254
  return [
    {
      d: path(
        mmTicks.value.filter(i => i % 5 !== 0),
        mm,
        18,
        23,
      ),
      width: 1,
    },
    {
      d: path(
        mmTicks.value.filter(i => i % 5 === 0),
        mm,
        18,
        28,
      ),
      width: 1.6,
    },
    {
      d: path(
        thou.value.filter(i => i % 2 !== 0),
        th,
        68,
        63,
      ),
      width: 1,
    },
    {
      d: path(
        thou.value.filter(i => i % 2 === 0),
        th,
        68,
        59,
      ),
      width: 1.6,
    },
  ]
})
const bracket = computed(() => {
  if (!props.reading || (props.reading.hiMm === null && props.reading.loMm === 0)) return null
  const from = x(props.reading.loMm)
  const open = props.reading.hiMm === null
  return { from, open, to: open ? length.value + 6 : Math.max(x(props.reading.hiMm!), from + 3) }
})
const color = computed(() => VERDICT_COLOR[props.verdict])
const fill = computed(() =>
  props.verdict === 'unproved' ? `url(#${hatch})` : props.verdict === 'loose' ? 'var(--loose-fill)' : color.value,
)
const bare0 = computed(() => props.maxMm - props.minMm < 1e-9)
</script>

<template>
  <svg class="rule" :viewBox="`0 0 ${length} 86`" role="img" :aria-label="ruleWords(props)">
    <defs>
      <pattern :id="hatch" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect width="6" height="6" fill="var(--hatch-ground)" />
        <path d="M 0 0 V 6" stroke="var(--hatch)" stroke-width="2.2" />
      </pattern>
    </defs>
    <rect x=".75" y="18" :width="length - 1.5" height="50" fill="var(--white)" stroke="var(--ink)" stroke-width="1.5" />
    <rect
      v-if="!bare0"
      :x="x(minMm)"
      y="19"
      :width="x(maxMm) - x(minMm)"
      height="48"
      fill="var(--petrol-tint)"
      class="spec"
    />
    <rect
      v-if="ghost"
      :x="x(ghost.minMm)"
      y="29"
      :width="Math.max(2, x(ghost.maxMm) - x(ghost.minMm))"
      height="28"
      fill="none"
      stroke="var(--ink)"
      stroke-width="1.6"
      stroke-dasharray="3 3"
    />
    <path
      v-for="limit in [minMm, maxMm]"
      :key="limit"
      :d="`M ${x(limit)} 18 V 68`"
      stroke="var(--petrol)"
      stroke-width="2"
    />
    <path v-for="(tick, i) in ticks" :key="i" :d="tick.d" stroke="var(--ink)" :stroke-width="tick.width" />
    <template v-if="topMm > 0">
      <text
        v-for="i in mmTicks.filter(i => i % label === 0)"
        :key="`ml${i}`"
        :x="x(i / 100)"
        y="13"
        :text-anchor="i === 0 ? 'start' : x(i / 100) > length - 14 ? 'end' : 'middle'"
        font-size="14"
        font-weight="600"
        :dx="i === 0 ? -6 : x(i / 100) > length - 14 ? 7 : 0"
      >
        {{ i === 0 ? '0 mm' : (i / 100).toFixed(2) }}
      </text>
      <text
        v-for="i in thou.filter(i => i % (label === 5 ? 2 : 4) === 0 && x(i * 0.0254) < length - 6)"
        :key="`tl${i}`"
        :x="x(i * 0.0254)"
        y="83"
        :text-anchor="i === 0 ? 'start' : 'middle'"
        font-size="13.5"
        font-weight="500"
        :dx="i === 0 ? -6 : 0"
      >
        {{ i === 0 ? '0 thou' : i }}
      </text>
    </template>
    <path
      v-if="asLeft && asLeft.hiMm !== null"
      :d="`M ${x(asLeft.loMm)} 62 H ${x(asLeft.hiMm)}`"
      stroke="var(--ink2)"
      stroke-width="3"
      class="as-left"
    />
    <g v-for="(trial, i) in trials ?? []" :key="`t${i}`" class="trial" :data-trial="`${trial.mm} ${trial.feel}`">
      <circle
        v-if="trial.feel === 'free' || trial.feel === 'drag'"
        :cx="x(trial.mm)"
        cy="25"
        r="3.6"
        :fill="trial.feel === 'drag' ? 'var(--ink)' : 'var(--white)'"
        stroke="var(--ink)"
        stroke-width="1.6"
      />
      <path
        v-else
        :d="`M ${x(trial.mm) - 3.6} 21.400 l 7.200 7.200 m 0 -7.200 l -7.200 7.200`"
        stroke="var(--ink)"
        stroke-width="1.8"
      />
    </g>
    <template v-if="bracket">
      <rect
        :x="bracket.from"
        y="37"
        :width="bracket.to - bracket.from"
        height="12"
        :fill="fill"
        :stroke="verdict === 'unproved' ? 'var(--hatch)' : color"
        stroke-width="1.4"
        class="reading"
      />
      <path
        :d="`M ${bracket.from + 5} 31 H ${bracket.from} V 55 H ${bracket.from + 5}`"
        fill="none"
        :stroke="color"
        stroke-width="2.2"
      />
      <path
        v-if="!bracket.open"
        :d="`M ${bracket.to - 5} 31 H ${bracket.to} V 55 H ${bracket.to - 5}`"
        fill="none"
        :stroke="color"
        stroke-width="2.2"
      />
    </template>
    <path
      v-else
      :d="`M ${x(targetMm)} 35 l 6 8 l -6 8 l -6 -8 Z`"
      fill="var(--white)"
      stroke="var(--petrol)"
      stroke-width="2"
    />
  </svg>
</template>

<style scoped>
.rule {
  display: block;
  width: 100%;
  overflow: hidden;
}
</style>
