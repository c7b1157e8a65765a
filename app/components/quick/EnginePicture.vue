<script setup lang="ts">
import { computed } from 'vue'
import type { QuickEngine } from '~~/core/quick'

/** An engine by its cylinders: where each piston stands while the first is at its top, and how they lean. */
const props = defineProps<{ engine: QuickEngine }>()
/** Of each cylinder: how far it leans, degrees, and how far down its piston is, 0 to 1. */
const CYLINDERS: Record<QuickEngine, { x: number; lean: number; down: number }[]> = {
  'single': [{ x: 48, lean: 0, down: 0 }],
  'twin-360': [
    { x: 30, lean: 0, down: 0 },
    { x: 66, lean: 0, down: 0 },
  ],
  'twin-180': [
    { x: 30, lean: 0, down: 0 },
    { x: 66, lean: 0, down: 1 },
  ],
  'twin-270': [
    { x: 44, lean: -45, down: 0 },
    { x: 52, lean: 45, down: 0.5 },
  ],
}
const cylinders = computed(() => CYLINDERS[props.engine])
</script>

<template>
  <svg width="96" height="62" viewBox="0 0 96 62" fill="none" stroke="currentColor" stroke-width="2" aria-hidden="true">
    <g v-for="(c, i) in cylinders" :key="i" :transform="`rotate(${c.lean} 48 54) translate(${c.x} 0)`">
      <path d="M -12 44 V 8 H 12 V 44" />
      <path v-for="y in [14, 21, 28, 35]" :key="y" :d="`M -17 ${y} H -12 M 12 ${y} H 17`" />
      <rect x="-10" :y="11 + c.down * 18" width="20" height="10" fill="currentColor" />
      <path :d="`M 0 ${21 + c.down * 18} V 48`" />
    </g>
    <circle cx="48" cy="54" r="6" fill="var(--sheet)" />
  </svg>
</template>

<style scoped>
svg {
  display: block;
  margin: 0 auto;
  max-width: 100%;
}
</style>
