<script setup lang="ts">
import type { Engine } from '~~/core/engine'

/** Where the screw sits: over the valve, over the push rod, or as the rocker’s pivot nut on its stud. */
defineProps<{ kind: Engine['adjuster']['kind'] }>()
</script>

<template>
  <svg width="96" height="56" viewBox="0 0 96 56" fill="none" stroke="currentColor" stroke-width="2" aria-hidden="true">
    <path d="M 14 22 Q 48 10 82 22" stroke-width="6" />
    <path d="M 78 30 V 52 M 70 34 H 86 M 70 39 H 86 M 70 44 H 86" />
    <path v-if="kind !== 'valve-end'" d="M 18 30 V 54" stroke-width="4" />
    <g v-if="kind === 'pivot-nut'" stroke="var(--petrol)">
      <path d="M 48 4 V 30" />
      <rect x="40" y="6" width="16" height="9" fill="var(--petrol)" />
    </g>
    <g v-else :transform="`translate(${kind === 'valve-end' ? 78 : 18} 0)`" stroke="var(--petrol)">
      <circle v-if="kind === 'valve-end'" cx="-30" cy="17" r="4" />
      <circle v-else cx="30" cy="17" r="4" />
      <path d="M 0 6 V 30" stroke-width="4" />
      <rect x="-7" y="10" width="14" height="7" fill="var(--petrol)" />
    </g>
  </svg>
</template>

<style scoped>
svg {
  display: block;
  margin: 0 auto;
  max-width: 100%;
}
</style>
