<script setup lang="ts">
import type { Role } from '~~/core/engine'

/** A valve with its spring and retainer, opened by a lift along its own axis; `half` is half of its head. */
defineProps<{ role: Role; lift: number; half: number }>()
</script>

<template>
  <g>
    <g class="valve" :data-role="role" :data-lift="lift.toFixed(2)" :transform="`translate(0 ${lift})`">
      <path
        :d="`M -${half} 2 L ${half} 2 L 3 -7 L 2 -46 L -2 -46 L -3 -7 Z`"
        fill="var(--metal)"
        stroke="var(--ink)"
        stroke-width="1"
      />
    </g>
    <path
      v-for="i in 4"
      :key="i"
      :d="`M -6 ${-20 - i * 5 + lift * (i / 5)} L 6 ${-22.5 - i * 5 + lift * (i / 5)}`"
      stroke="var(--ink)"
      stroke-width="1.1"
    />
    <rect x="-8" :y="-45 + lift" width="16" height="3" fill="var(--metal-mid)" stroke="var(--ink)" stroke-width=".8" />
  </g>
</template>
