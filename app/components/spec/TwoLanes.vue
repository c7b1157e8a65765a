<script setup lang="ts">
import { computed } from 'vue'
import type { Clearance } from '~~/core/engine'
import { spanOf } from '~~/core/feeler'
import { t } from '../../words'

/**
 * Two printed readings of one figure on a short rule: solid the one that is used, dashed the one that was set aside.
 */
const props = defineProps<{ used: Clearance; aside: Clearance }>()
const W = 376
const ends = computed(() => [spanOf(props.used), spanOf(props.aside)])
const from = computed(() => Math.max(0, Math.floor(Math.min(...ends.value.map(e => e.minMm)) * 50 - 1) / 50))
const to = computed(() => Math.ceil(Math.max(...ends.value.map(e => e.maxMm)) * 50 + 1) / 50)
const x = (mm: number) => 8 + ((mm - from.value) / (to.value - from.value)) * (W - 16)
const ticks = computed(() =>
  Array.from({ length: Math.round((to.value - from.value) / 0.01) + 1 }, (_, i) => from.value + i / 100),
)
const every = computed(() => Math.max(2, Math.ceil(ticks.value.length / 7 / 2) * 2))
const lanes = computed(() =>
  ends.value.map((e, i) => ({
    x: x(e.minMm),
    width: Math.max(3, x(e.maxMm) - x(e.minMm)),
    y: i ? 42 : 21,
    words: i ? t('two-lanes.set-aside', { unit: props.aside.unit }) : t('two-lanes.used', { unit: props.used.unit }),
    left: x(e.minMm) > 120,
  })),
)
</script>

<template>
  <svg
    class="lanes"
    :viewBox="`0 0 ${W} 66`"
    role="img"
    :aria-label="
      t('two-lanes.used-set-aside', { used: `${used.text} ${used.unit}`, aside: `${aside.text} ${aside.unit}` })
    "
  >
    <text
      v-for="(tick, i) in ticks.filter((_, n) => n % every === 0)"
      :key="i"
      :x="x(tick)"
      y="12"
      :text-anchor="i === 0 ? 'start' : x(tick) > W - 16 ? 'end' : 'middle'"
      :dx="i === 0 ? -6 : x(tick) > W - 16 ? 6 : 0"
      font-size="13"
      font-weight="600"
    >
      {{ tick.toFixed(2) }}{{ i === 0 ? ' mm' : '' }}
    </text>
    <rect x=".75" y="17" :width="W - 1.5" height="46" fill="var(--white)" stroke="var(--ink)" stroke-width="1.5" />
    <path :d="ticks.map(t => `M ${x(t).toFixed(1)} 17 v 4`).join(' ')" stroke="var(--ink)" />
    <g v-for="(lane, i) in lanes" :key="i">
      <rect
        :x="lane.x"
        :y="lane.y"
        :width="lane.width"
        height="18"
        :fill="i ? 'none' : 'var(--petrol-tint)'"
        :stroke="i ? 'var(--ink)' : 'var(--petrol)'"
        stroke-width="2"
        :stroke-dasharray="i ? '4 3' : undefined"
      />
      <text
        :x="lane.left ? lane.x - 6 : lane.x + lane.width + 6"
        :y="lane.y + 14"
        :text-anchor="lane.left ? 'end' : 'start'"
        font-size="13.5"
        font-weight="600"
        :style="{ fill: i ? 'var(--ink2)' : 'var(--petrol)' }"
      >
        {{ lane.words }}
      </text>
    </g>
  </svg>
</template>

<style scoped>
.lanes {
  width: 100%;
  display: block;
}
</style>
