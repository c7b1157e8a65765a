<script setup lang="ts">
import type { Engine } from '~~/core/engine'

/** The head seen from above: intake larger, on the carburettor side; exhaust on the muffler side. */
defineProps<{ engine: Engine }>()
const W = 420
const H = 340
</script>

<template>
  <svg :viewBox="`0 0 ${W} ${H + 60}`" class="head" role="img" aria-label="Head from above: exhaust on the muffler side, intake on the carburettor side">
    <text :x="W / 2" y="18" text-anchor="middle" font-size="17" font-weight="600">Muffler side</text>
    <path d="M 180 30 V 70 M 240 30 V 70" stroke="var(--ink)" stroke-width="1.6" />
    <path d="M 172 340 V 372 M 248 340 V 372" stroke="var(--ink)" stroke-width="1.6" />
    <rect x="90" y="62" width="240" height="280" rx="16" fill="var(--sheet)" stroke="var(--ink)" stroke-width="2" />
    <circle :cx="W / 2" :cy="H / 2 + 32" r="112" fill="none" stroke="var(--ink)" stroke-dasharray="5 4" />
    <circle cx="294" :cy="H / 2 + 32" r="14" fill="var(--white)" stroke="var(--ink)" stroke-width="1.6" /><path :d="`M 287 ${H / 2 + 32} h 14 M 294 ${H / 2 + 25} v 14`" stroke="var(--ink)" stroke-width="1.8" />
    <g v-for="valve in engine.valves" :key="valve.id" :transform="`translate(${90 + valve.headX * 240} ${62 + valve.headY * 280})`">
      <circle :r="valve.role === 'intake' ? 46 : 39" fill="var(--white)" stroke="var(--ink)" stroke-width="2.4" />
      <text y="6" text-anchor="middle" font-size="18" font-weight="700">{{ valve.name }}</text>
    </g>
    <text :x="W / 2" :y="H + 54" text-anchor="middle" font-size="17" font-weight="600">Carburettor side</text>
  </svg>
</template>

<style scoped>
.head { display: block; height: 100%; width: 100%; }
</style>
