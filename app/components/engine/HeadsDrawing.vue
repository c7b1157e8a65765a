<script setup lang="ts">
import { type HeadMap, MAP_HEIGHT, MAP_WIDTH, type MapSide } from '~~/core/engine'
import { named, t } from '../../words'

/** Heads where they are, for screen and paper alike: whoever shows them says what stands in each valve, and how big. */
defineProps<{
  map: HeadMap
  label: string
  wordsOf: (valve: HeadMap['valves'][number]) => string[]
  /** Sizes of the letters in valves, of heads, and of sides, in the drawing’s units. */
  letters: { valve: number; head: number; side: number }
}>()
const sideWords = (side: 'intake' | 'exhaust') =>
  side === 'intake' ? t('common.carburetor-side') : t('common.muffler-side')
/** Where the words of a side stand, and how they are turned. */
const SIDES: Record<MapSide, (size: number) => string> = {
  top: size => `translate(${MAP_WIDTH / 2} ${size + 3})`,
  bottom: () => `translate(${MAP_WIDTH / 2} ${MAP_HEIGHT - 8})`,
  left: size => `translate(${size} ${MAP_HEIGHT / 2}) rotate(-90)`,
  right: size => `translate(${MAP_WIDTH - size} ${MAP_HEIGHT / 2}) rotate(90)`,
  between: () => `translate(${MAP_WIDTH / 2} 84)`,
}
const sidesOf = (sides: NonNullable<HeadMap['sides']>) => Object.entries(sides) as [MapSide, 'intake' | 'exhaust'][]
</script>

<template>
  <svg :viewBox="`0 0 ${MAP_WIDTH} ${MAP_HEIGHT}`" role="img" :aria-label="label">
    <g v-if="map.crank">
      <circle :cx="map.crank.x" :cy="map.crank.y" r="15" fill="none" class="line" />
      <circle :cx="map.crank.x" :cy="map.crank.y" r="3" class="full" />
    </g>
    <g v-for="(h, i) in map.heads" :key="i" :data-lean="h.leanDeg">
      <rect
        :x="h.x - h.width / 2"
        :y="h.y - h.height / 2"
        :width="h.width"
        :height="h.height"
        :transform="Math.abs(h.leanDeg) < 90 ? `rotate(${h.leanDeg} ${h.x} ${h.y})` : undefined"
        rx="14"
        class="box line"
      />
      <text v-if="h.name" :x="h.x" :y="map.sides?.top ? 54 : 25" :font-size="letters.head" class="words strong">
        {{ named(h.name) }}
      </text>
    </g>
    <g v-for="c in map.chambers" :key="c.cylinderId">
      <circle :cx="c.x" :cy="c.y" :r="c.r" fill="none" stroke-dasharray="5 4" class="thin" />
      <circle :cx="c.x" :cy="c.y" r="10" class="face thin" />
      <path :d="`M ${c.x - 5} ${c.y} h 10 M ${c.x} ${c.y - 5} v 10`" class="thin" />
    </g>
    <g v-for="v in map.valves" :key="v.valveId" :transform="`translate(${v.x} ${v.y})`" :data-valve="v.valveId">
      <circle :r="v.r" class="face line" />
      <text
        v-for="(word, i) in wordsOf(v)"
        :key="i"
        :y="letters.valve * 0.34 + (i - (wordsOf(v).length - 1) / 2) * 19"
        :font-size="letters.valve"
        class="words strong"
      >
        {{ word }}
      </text>
    </g>
    <template v-if="map.sides">
      <text
        v-for="[side, role] in sidesOf(map.sides)"
        :key="side"
        :transform="SIDES[side](letters.side)"
        :font-size="letters.side"
        class="words"
      >
        {{ sideWords(role) }}
      </text>
    </template>
  </svg>
</template>

<style scoped>
.box {
  fill: var(--sheet);
}
.face {
  fill: var(--white);
}
.full {
  fill: var(--drawn, var(--ink));
}
.line {
  stroke: var(--drawn, var(--ink));
  stroke-width: 2.2;
}
.thin {
  stroke: var(--drawn, var(--ink));
  stroke-width: 1.5;
}
.words {
  text-anchor: middle;
  font-weight: 600;
}
.strong {
  font-weight: 700;
}
</style>
