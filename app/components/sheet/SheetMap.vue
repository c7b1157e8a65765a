<script setup lang="ts">
import { computed } from 'vue'
import { MAP_HEIGHT, MAP_WIDTH } from '~~/core/engine'
import type { Sheet } from '~~/core/job'
import { named, t } from '../../words'

/** The heads where they are, in ink: each valve under the sign that its figures have. */
const props = defineProps<{ sheet: Sheet }>()
/** Sheets of earlier versions have the valves’ places alone, and one head for all. */
const valves = computed(
  () =>
    props.sheet.map?.valves ??
    props.sheet.valves.map((v, i) => ({
      valveId: v.valveId,
      x: 90 + v.headX * 240,
      y: 62 + v.headY * 280,
      r: 40,
      sign: `${i + 1}${v.role === 'intake' ? 'I' : 'E'}`,
    })),
)
const heads = computed(
  () => props.sheet.map?.heads ?? [{ name: '', x: 210, y: 202, width: 240, height: 280, leanDeg: 0 }],
)
const sides = computed(() => (props.sheet.map ? props.sheet.map.sides : { top: 'exhaust', bottom: 'intake' }))
const sideWords = (side: string) => (side === 'intake' ? t('common.carburetor-side') : t('common.muffler-side'))
</script>

<template>
  <svg
    :viewBox="`0 0 ${MAP_WIDTH} ${MAP_HEIGHT}`"
    role="img"
    :aria-label="t('sheet-valves.head-from-above-exhaust-at')"
  >
    <circle v-if="sheet.map?.crank" :cx="sheet.map.crank.x" :cy="sheet.map.crank.y" r="14" fill="none" stroke="#111" />
    <g v-for="(h, i) in heads" :key="i">
      <rect
        :x="h.x - h.width / 2"
        :y="h.y - h.height / 2"
        :width="h.width"
        :height="h.height"
        :transform="Math.abs(h.leanDeg) < 90 ? `rotate(${h.leanDeg} ${h.x} ${h.y})` : undefined"
        rx="14"
        fill="#fff"
        stroke="#111"
        stroke-width="2.4"
      />
      <text v-if="h.name" :x="h.x" :y="sides ? 56 : 26" text-anchor="middle" font-size="24" font-weight="700">
        {{ named(h.name) }}
      </text>
    </g>
    <template v-for="c in sheet.map?.chambers" :key="c.cylinderId">
      <circle :cx="c.x" :cy="c.y" :r="c.r" fill="none" stroke="#111" stroke-dasharray="6 5" />
      <circle :cx="c.x" :cy="c.y" r="9" fill="#fff" stroke="#111" />
    </template>
    <g v-for="v in valves" :key="v.valveId" :transform="`translate(${v.x} ${v.y})`">
      <circle :r="v.r" fill="#fff" stroke="#111" stroke-width="2.4" />
      <text y="9" text-anchor="middle" font-size="25" font-weight="700">{{ v.sign }}</text>
    </g>
    <template v-if="sides">
      <text :x="MAP_WIDTH / 2" y="24" text-anchor="middle" font-size="23" font-weight="600">
        {{ sideWords(sides.top) }}
      </text>
      <text :x="MAP_WIDTH / 2" :y="MAP_HEIGHT - 6" text-anchor="middle" font-size="23" font-weight="600">
        {{ sideWords(sides.bottom) }}
      </text>
    </template>
  </svg>
</template>
