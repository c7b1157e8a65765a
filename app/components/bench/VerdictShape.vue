<script setup lang="ts">
import type { Verdict } from '~~/core/feeler'

/** The shape of a verdict; a word always stands beside it. */
defineProps<{ verdict: Verdict | 'not measured'; size?: number }>()
</script>

<template>
  <svg :width="size ?? 18" :height="size ?? 18" viewBox="0 0 18 18" aria-hidden="true">
    <template v-if="verdict === 'in'">
      <circle cx="9" cy="9" r="8.5" fill="var(--petrol)" />
      <path d="M 5 9.4 L 8 12.2 L 13 6.4" fill="none" stroke="var(--on-petrol)" stroke-width="2.2" />
    </template>
    <path v-else-if="verdict === 'tight'" d="M 0.5 2 H 17.5 L 9 17 Z" fill="var(--tight)" />
    <path
      v-else-if="verdict === 'loose'"
      d="M 0.8 16 H 17.2 L 9 1.5 Z"
      fill="var(--loose-fill)"
      stroke="var(--loose)"
      stroke-width="1.4"
    />
    <g v-else-if="verdict === 'unproved'">
      <rect x="1" y="1" width="16" height="16" fill="var(--hatch-ground)" stroke="var(--hatch)" stroke-width="1.6" />
      <path d="M 1 9 L 9 1 M 1 17 L 17 1 M 9 17 L 17 9" stroke="var(--hatch)" stroke-width="2" />
    </g>
    <rect
      v-else
      x="1.5"
      y="1.5"
      width="15"
      height="15"
      fill="none"
      stroke="var(--hatch)"
      stroke-width="1.6"
      stroke-dasharray="3 2.4"
    />
  </svg>
</template>
