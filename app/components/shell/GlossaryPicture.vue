<script setup lang="ts">
import type { Term } from './glossary'

/** One term as a picture: a section, a head or a nut in a few strokes. What matters is in the accent color. */
defineProps<{ term: Term }>()
/** Cylinder with its two valves: how far the piston is down, and how far each valve is open. 100 by 100. */
const SECTIONS: Partial<Record<Term, { piston: number; intake: number; exhaust: number }>> = {
  'tdc': { piston: 0, intake: 0, exhaust: 0 },
  'compression': { piston: 0, intake: 0, exhaust: 0 },
  'overlap': { piston: 0, intake: 5, exhaust: 5 },
  'decompressor': { piston: 0, intake: 0, exhaust: 4 },
  'past-top': { piston: 13, intake: 0, exhaust: 0 },
}
</script>

<template>
  <svg viewBox="0 0 100 100" class="picture" aria-hidden="true">
    <template v-if="SECTIONS[term]">
      <path class="line" d="M 24 34 V 96 M 76 34 V 96 M 24 34 H 76" />
      <g
        v-for="(x, i) in [38, 62]"
        :key="x"
        :transform="`translate(${x} ${i ? SECTIONS[term]!.exhaust : SECTIONS[term]!.intake})`"
      >
        <path
          :class="(i ? SECTIONS[term]!.exhaust : SECTIONS[term]!.intake) ? 'hot' : 'line'"
          d="M 0 12 V 36 M -8 38 L 0 33 L 8 38 Z"
        />
      </g>
      <g :transform="`translate(0 ${SECTIONS[term]!.piston})`">
        <rect class="body" x="26" y="46" width="48" height="20" />
        <path class="line" d="M 50 60 L 60 88" />
      </g>
      <path v-if="term === 'tdc' || term === 'compression'" class="hot" d="M 8 46 H 22 M 78 46 H 92" />
      <path v-if="term === 'past-top'" class="hot" d="M 8 46 H 22 M 8 59 H 22 M 15 47 V 58 M 12 54 L 15 58 L 18 54" />
      <path v-if="term === 'compression'" class="hot" d="M 34 8 h 8 M 58 8 h 8 M 36 5 v -3 M 64 5 v -3" />
      <circle v-if="term === 'decompressor'" class="hot" cx="62" cy="8" r="5" />
      <circle v-if="term === 'past-top' || term === 'tdc'" class="line" cx="60" cy="88" r="5" />
    </template>
    <template v-else-if="term === 'clearance' || term === 'drag' || term === 'rocker'">
      <path class="body" d="M 8 40 Q 40 20 78 32 L 78 44 Q 44 34 10 52 Z" />
      <circle class="line" cx="36" cy="37" r="5" />
      <path class="line" d="M 66 60 H 80 V 96 M 66 60 V 96" />
      <path v-if="term === 'clearance'" class="hot" d="M 56 45 H 94 M 56 59 H 94 M 90 46 V 58" />
      <path v-if="term === 'drag'" class="hot" d="M 58 52 H 98 M 86 46 L 98 52 L 86 58" />
      <path
        v-if="term === 'rocker'"
        class="hot"
        d="M 20 66 V 84 M 16 78 L 20 84 L 24 78 M 20 30 V 14 M 16 20 L 20 14 L 24 20"
      />
    </template>
    <template v-else-if="term === 'prove'">
      <circle class="line" cx="50" cy="50" r="30" />
      <path class="hot" d="M 50 8 A 42 42 0 1 1 14 30 M 14 30 L 12 18 M 14 30 L 26 28" />
      <path class="hot" d="M 38 52 L 47 61 L 63 40" />
    </template>
    <template v-else>
      <path class="body" d="M 50 14 L 82 32 V 68 L 50 86 L 18 68 V 32 Z" />
      <circle class="line" cx="50" cy="50" r="13" />
      <path v-if="term !== 'flat'" class="line" d="M 41 50 H 59" />
      <path
        v-if="term === 'flat'"
        class="hot"
        d="M 50 14 L 82 32 M 50 50 L 50 22 M 50 50 L 75 36 M 50 30 A 20 20 0 0 1 67 40"
      />
      <path v-if="term === 'locknut'" class="hot" d="M 50 14 L 82 32 V 68 L 50 86 L 18 68 V 32 Z" />
      <path
        v-if="term === 'nip'"
        class="hot"
        d="M 88 38 A 42 42 0 0 1 76 82 M 76 82 L 88 80 M 76 82 L 77 70 M 44 50 H 56"
      />
    </template>
  </svg>
</template>

<style scoped>
.picture {
  width: 120px;
  max-width: 100%;
  aspect-ratio: 1;
}
.line,
.body,
.hot {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2.6;
  stroke-linejoin: round;
  stroke-linecap: round;
}
.body {
  fill: var(--paper2, transparent);
}
.hot {
  stroke: var(--petrol);
  stroke-width: 4;
}
</style>
