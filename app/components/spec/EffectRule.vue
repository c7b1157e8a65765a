<script setup lang="ts">
import { computed } from 'vue'
import type { Clearance } from '~~/core/engine'
import { spanOf, type Verdict } from '~~/core/feeler'
import type { Affected } from '~~/shared/spec-book'
import { t } from '../../words'
import { VERDICT_COLOR } from '../bench/verdict-words'

/**
 * How the shop's last as-left readings stand to a draft: one bar a valve, the draft's field behind, the old limits
 * dashed.
 */
const props = defineProps<{ readings: Affected[]; before: Clearance; after: Clearance }>()
const W = 590
const ROW = 7
const spans = computed(() => [spanOf(props.before), spanOf(props.after)])
const least = computed(() =>
  Math.max(0, Math.floor(Math.min(...spans.value.map(s => s.minMm), ...props.readings.map(r => r.loMm)) * 50 - 1) / 50),
)
const most = computed(
  () =>
    Math.ceil(Math.max(...spans.value.map(s => s.maxMm), ...props.readings.map(r => r.hiMm ?? r.loMm)) * 50 + 1) / 50,
)
const x = (mm: number) => 8 + ((mm - least.value) / (most.value - least.value)) * (W - 16)
const height = computed(() => Math.max(48, props.readings.length * ROW + 16))
/** A figure needs this much of the rule: a typing slip may make it ten times as long. */
const FIGURE = 46
const ticks = computed(() => {
  const hundredths = Math.round((most.value - least.value) * 100)
  const step = [2, 5, 10, 20, 50, 100].find(s => (hundredths / s) * FIGURE <= W - 16) ?? 200
  const from = Math.ceil(Math.round(least.value * 100) / step) * step
  return Array.from(
    { length: Math.floor((Math.round(most.value * 100) - from) / step) + 1 },
    (_, i) => (from + i * step) / 100,
  )
})
const dashed = (v: Verdict) => v === 'unproved'
</script>

<template>
  <svg
    class="effect"
    :viewBox="`0 0 ${W} ${height + 24}`"
    role="img"
    :aria-label="t('effect-rule.valves-as-last-left-against', { count: readings.length })"
  >
    <text
      v-for="(tick, i) in ticks"
      :key="tick"
      :x="x(tick)"
      y="13"
      :text-anchor="x(tick) < 24 ? 'start' : x(tick) > W - 24 ? 'end' : 'middle'"
      font-size="14"
      font-weight="600"
    >
      {{ tick.toFixed(2) }}{{ i === 0 ? ' mm' : '' }}
    </text>
    <rect x=".75" y="19" :width="W - 1.5" :height="height" fill="var(--white)" stroke="var(--ink)" stroke-width="1.5" />
    <rect
      :x="x(spans[1]!.minMm)"
      y="19"
      :width="Math.max(2, x(spans[1]!.maxMm) - x(spans[1]!.minMm))"
      :height="height"
      fill="var(--petrol-tint)"
      stroke="var(--petrol)"
      stroke-width="2"
    />
    <path
      v-for="mm in [spans[0]!.minMm, spans[0]!.maxMm]"
      :key="mm"
      :d="`M ${x(mm)} 19 v ${height}`"
      stroke="var(--ink)"
      stroke-width="2"
      stroke-dasharray="3 3"
    />
    <rect
      v-for="(r, i) in readings"
      :key="i"
      :x="x(r.loMm)"
      :y="27 + i * ROW"
      :width="Math.max(3, x(r.hiMm ?? most) - x(r.loMm))"
      height="4"
      :fill="dashed(r.after) ? 'none' : VERDICT_COLOR[r.after]"
      :stroke="dashed(r.after) ? 'var(--ink2)' : 'none'"
      :stroke-dasharray="dashed(r.after) ? '3 2' : undefined"
      :data-verdict="r.after"
    />
  </svg>
</template>

<style scoped>
.effect {
  width: 100%;
  height: auto;
  display: block;
}
</style>
