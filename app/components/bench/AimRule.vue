<script setup lang="ts">
import { computed } from 'vue'
import type { Aim } from '~~/core/job'
import { formatLength, snapMm } from '~~/core/units'
import { t } from '../../words'

/** Where the gap should stand before the lock, and where the lock is expected to leave it, with its scatter. */
const props = defineProps<{ aim: Aim; minMm: number; maxMm: number }>()
const LENGTH = 660
const from = computed(() => Math.max(0, Math.floor((Math.min(props.minMm, props.aim.beforeMm) - 0.03) * 50) / 50))
const to = computed(() => Math.ceil((Math.max(props.maxMm, props.aim.beforeMm) + 0.03) * 50) / 50)
const x = (mm: number): number => 8 + ((mm - from.value) / (to.value - from.value)) * (LENGTH - 16)
const ticks = computed(() =>
  Array.from({ length: Math.round((to.value - from.value) / 0.01) + 1 }, (_, i) => snapMm(from.value + i / 100)),
)
const thou = computed(() =>
  Array.from({ length: 80 }, (_, i) => i).filter(i => i * 0.0254 >= from.value && i * 0.0254 <= to.value),
)
const ends = computed(() =>
  props.aim.shift ? snapMm(props.aim.beforeMm + props.aim.shift.shiftMm) : props.aim.beforeMm,
)
const spread = computed(() => props.aim.shift?.spreadMm ?? 0)
</script>

<template>
  <svg
    :viewBox="`0 0 ${LENGTH} 80`"
    class="aim"
    role="img"
    :aria-label="
      t('aim-rule.aim-mm-before-the-lock', {
        beforeMm: formatLength(aim.beforeMm, 'mm'),
        ends: formatLength(ends, 'mm'),
      })
    "
  >
    <rect x=".75" y="16" :width="LENGTH - 1.5" height="46" fill="var(--white)" stroke="var(--ink)" stroke-width="1.5" />
    <rect :x="x(minMm)" y="17" :width="Math.max(0, x(maxMm) - x(minMm))" height="44" fill="var(--petrol-tint)" />
    <path
      v-for="limit in [minMm, maxMm]"
      :key="limit"
      :d="`M ${x(limit)} 16 V 62`"
      stroke="var(--petrol)"
      stroke-width="2"
    />
    <path
      :d="ticks.map(t => `M ${x(t).toFixed(1)} 16 V ${Math.round(t * 100) % 2 === 0 ? 26 : 21}`).join(' ')"
      stroke="var(--ink)"
      stroke-width="1.2"
    />
    <path
      :d="thou.map(i => `M ${x(i * 0.0254).toFixed(1)} 62 V 54`).join(' ')"
      stroke="var(--ink)"
      stroke-width="1.2"
    />
    <text
      v-for="tick in ticks.filter(tick => Math.round(tick * 100) % 2 === 0)"
      :key="tick"
      :x="x(tick)"
      y="11"
      :text-anchor="tick === from ? 'start' : tick >= to - 0.001 ? 'end' : 'middle'"
      font-size="13.5"
      font-weight="600"
    >
      {{ tick.toFixed(2) }}{{ tick === from ? ' mm' : '' }}
    </text>
    <text
      v-for="i in thou"
      :key="`t${i}`"
      :x="x(i * 0.0254)"
      y="77"
      text-anchor="middle"
      font-size="13"
      font-weight="500"
    >
      {{ i }}{{ i === thou[0] ? ' thou' : '' }}
    </text>
    <path
      v-if="spread > 0"
      :d="`M ${x(ends - spread)} 33 v 12 M ${x(ends - spread)} 39 H ${x(ends + spread)} M ${x(ends + spread)} 33 v 12`"
      stroke="var(--petrol)"
      stroke-width="2"
      fill="none"
    />
    <path :d="`M ${x(ends)} 32 l 6 7 l -6 7 l -6 -7 Z`" fill="var(--petrol)" />
    <path
      v-if="aim.shift"
      :d="`M ${x(aim.beforeMm)} 31 l 7 8 l -7 8 l -7 -8 Z`"
      fill="var(--white)"
      stroke="var(--petrol)"
      stroke-width="2.4"
    />
  </svg>
</template>

<style scoped>
.aim {
  display: block;
  width: 100%;
}
</style>
