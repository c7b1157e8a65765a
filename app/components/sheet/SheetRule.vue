<script setup lang="ts">
import type { SheetValve } from '~~/core/job'

/** A rule in black for the printed sheet: open bar as found, solid bar as left, the spec a tint. */
const props = defineProps<{ valve: SheetValve; fromMm: number; topMm: number }>()
const W = 230
const x = (mm: number): number =>
  4 + Math.max(0, Math.min(1.02, (mm - props.fromMm) / (props.topMm - props.fromMm))) * (W - 8)
const ticks = () =>
  Array.from(
    { length: Math.round((props.topMm - props.fromMm) / 0.01) + 1 },
    (_, i) => Math.round((props.fromMm + i * 0.01) * 100) / 100,
  )
const thou = () =>
  Array.from({ length: Math.floor(props.topMm / 0.0254) + 1 }, (_, i) => i).filter(i => i * 0.0254 >= props.fromMm)
</script>

<template>
  <svg :viewBox="`0 0 ${W} 72`" class="sheet-rule" aria-hidden="true">
    <rect x=".7" y="15" :width="W - 1.4" height="40" fill="#fff" stroke="#111" stroke-width="1.4" />
    <rect
      :x="x(valve.spec.minMm)"
      y="16"
      :width="Math.max(2, x(valve.spec.maxMm) - x(valve.spec.minMm))"
      height="38"
      fill="#E4E4E4"
    />
    <path v-for="t in ticks()" :key="t" :d="`M ${x(t)} 15 v ${Math.round(t * 100) % 2 ? 3 : 6}`" stroke="#111" />
    <path v-for="t in thou()" :key="`t${t}`" :d="`M ${x(t * 0.0254)} 55 v -5`" stroke="#111" />
    <text
      v-for="t in ticks().filter(t => Math.round(t * 100) % 4 === 0)"
      :key="`l${t}`"
      :x="x(t)"
      y="11"
      text-anchor="middle"
      font-size="11"
    >
      {{ t.toFixed(2) }}
    </text>
    <text
      v-for="t in thou().filter(t => t % 2 === 0)"
      :key="`tl${t}`"
      :x="x(t * 0.0254)"
      y="67"
      text-anchor="middle"
      font-size="10.5"
    >
      {{ t }}
    </text>
    <rect
      v-if="valve.asFound"
      :x="x(valve.asFound.loMm)"
      y="23"
      :width="Math.max(3, x(valve.asFound.hiMm ?? 9) - x(valve.asFound.loMm))"
      height="9"
      fill="#fff"
      stroke="#111"
      stroke-width="1.6"
    />
    <rect
      v-if="valve.asLeft"
      :x="x(valve.asLeft.loMm)"
      y="38"
      :width="Math.max(3, x(valve.asLeft.hiMm ?? 9) - x(valve.asLeft.loMm))"
      height="9"
      fill="#111"
    />
  </svg>
</template>
