<script setup lang="ts">
import { computed } from 'vue'
import type { BayCooling } from '~~/shared/board'
import { t } from '../../words'

/** A head cooling towards the air: what was read, the curve, the limit, and when it will be cold. */
const props = defineProps<{ cooling: BayCooling; nowMs: number; clock: (atMs: number) => string }>()
const [W, H] = [216, 66]
const from = computed(() => props.cooling.curve[0]!.atMs)
const to = computed(() => props.cooling.curve.at(-1)!.atMs)
const top = computed(() => Math.max(props.cooling.limitC + 15, ...props.cooling.readings.map(r => r.celsius)))
const bottom = computed(() => Math.min(props.cooling.airC, props.cooling.limitC) - 4)
const x = (atMs: number) => ((atMs - from.value) / (to.value - from.value)) * W
const y = (celsius: number) => 4 + ((top.value - celsius) / (top.value - bottom.value)) * (H - 4)
const path = (points: { atMs: number; celsius: number }[]) =>
  points.map((p, i) => `${i ? 'L' : 'M'} ${x(p.atMs).toFixed(1)} ${y(p.celsius).toFixed(1)}`).join(' ')
/** Solid up to now, dotted from there. */
const past = computed(() => path(props.cooling.curve.filter(p => p.atMs <= props.nowMs)))
const ahead = computed(() => path(props.cooling.curve.filter(p => p.atMs >= props.nowMs)))
const last = computed(() => props.cooling.curve.findLast(p => p.atMs <= props.nowMs) ?? props.cooling.curve[0]!)
const coldAt = computed(() => (props.cooling.ready.kind === 'at' ? props.cooling.ready.atMs : null))
const apart = computed(() => coldAt.value === null || Math.abs(x(coldAt.value) - x(last.value.atMs)) > 62)
const inside = (value: number) => Math.max(16, Math.min(W - 18, value))
</script>

<template>
  <svg
    :viewBox="`0 0 ${W} ${H + 22}`"
    class="cooling"
    role="img"
    :aria-label="
      coldAt === null
        ? t('cooling-curve.the-air-is-too-warm')
        : t('cooling-curve.cold-about', { coldAt: clock(coldAt) })
    "
  >
    <path :d="`M 0 ${H} H ${W}`" stroke="var(--ink2)" stroke-width="1.4" />
    <path :d="`M 0 ${y(cooling.limitC)} H ${W}`" stroke="var(--petrol)" stroke-width="1.6" stroke-dasharray="4 3" />
    <text
      :x="W"
      :y="y(cooling.limitC) - 5"
      text-anchor="end"
      font-size="13.5"
      font-weight="600"
      style="fill: var(--petrol)"
    >
      {{ cooling.limitC }} °C
    </text>
    <path :d="past" fill="none" stroke="var(--ink)" stroke-width="2.6" />
    <path :d="ahead" fill="none" stroke="var(--edge)" stroke-width="2" stroke-dasharray="2 4" />
    <path
      v-for="r in cooling.readings"
      :key="r.atMs"
      :d="`M ${x(r.atMs) - 4} ${y(r.celsius)} h 8 M ${x(r.atMs)} ${y(r.celsius) - 4} v 8`"
      stroke="var(--ink)"
      stroke-width="1.6"
    />
    <circle :cx="x(last.atMs)" :cy="y(last.celsius)" r="5.5" fill="var(--ink)" />
    <text v-if="apart" :x="inside(x(last.atMs))" :y="H + 17" text-anchor="middle" font-size="14">
      {{ t('common.now') }}
    </text>
    <template v-if="coldAt !== null">
      <path :d="`M ${x(coldAt)} ${H} V ${y(cooling.limitC)}`" stroke="var(--petrol)" stroke-width="3.4" />
      <text
        :x="inside(x(coldAt))"
        :y="H + 17"
        text-anchor="middle"
        font-size="15"
        font-weight="700"
        style="fill: var(--petrol)"
      >
        {{ clock(coldAt) }}
      </text>
    </template>
  </svg>
</template>

<style scoped>
.cooling {
  width: 100%;
  display: block;
  padding-top: 10px;
  overflow: visible;
}
</style>
