<script setup lang="ts">
import { computed } from 'vue'
import { type Engine, headMap, MAP_HEIGHT, MAP_WIDTH } from '~~/core/engine'
import { headWords } from '../../bench/picture-words'
import { named, t } from '../../words'

/** The heads as they are at the machine: intakes larger, each valve by its name, or by a sign where there are many. */
const props = defineProps<{ engine: Engine }>()
const map = computed(() => headMap(props.engine))
/** Names go into the circles of few valves; many have signs, with the names beneath. */
const bySign = computed(() => props.engine.heads !== undefined || props.engine.valves.length > 4)
/** A name on two lines where there is little room: “Left / intake”. */
const linesOf = (name: string): string[] =>
  props.engine.valves.length > 2 && name.length > 8
    ? [name.slice(0, name.lastIndexOf(' ')), name.slice(name.lastIndexOf(' ') + 1)]
    : [name]
const sideWords = (side: 'intake' | 'exhaust') =>
  side === 'intake' ? t('common.carburetor-side') : t('common.muffler-side')
</script>

<template>
  <div class="heads">
    <svg :viewBox="`0 0 ${MAP_WIDTH} ${MAP_HEIGHT}`" class="head" role="img" :aria-label="headWords(engine)">
      <g v-if="map.crank" class="crank">
        <circle :cx="map.crank.x" :cy="map.crank.y" r="15" fill="none" stroke="var(--ink)" stroke-width="2" />
        <circle :cx="map.crank.x" :cy="map.crank.y" r="3" fill="var(--ink)" />
      </g>
      <g v-for="(h, i) in map.heads" :key="i" :data-lean="h.leanDeg">
        <rect
          :x="h.x - h.width / 2"
          :y="h.y - h.height / 2"
          :width="h.width"
          :height="h.height"
          :transform="Math.abs(h.leanDeg) < 90 ? `rotate(${h.leanDeg} ${h.x} ${h.y})` : undefined"
          rx="14"
          fill="var(--sheet)"
          stroke="var(--ink)"
          stroke-width="2"
        />
        <text v-if="h.name" :x="h.x" :y="map.sides ? 52 : 24" text-anchor="middle" font-size="17" font-weight="700">
          {{ named(h.name) }}
        </text>
      </g>
      <g v-for="c in map.chambers" :key="c.cylinderId" class="chamber">
        <circle :cx="c.x" :cy="c.y" :r="c.r" fill="none" stroke="var(--ink)" stroke-dasharray="5 4" />
        <circle :cx="c.x" :cy="c.y" r="10" fill="var(--white)" stroke="var(--ink)" stroke-width="1.6" />
        <path :d="`M ${c.x - 5} ${c.y} h 10 M ${c.x} ${c.y - 5} v 10`" stroke="var(--ink)" stroke-width="1.8" />
      </g>
      <g v-for="v in map.valves" :key="v.valveId" :transform="`translate(${v.x} ${v.y})`" :data-valve="v.valveId">
        <circle :r="v.r" fill="var(--white)" stroke="var(--ink)" stroke-width="2.4" />
        <text
          v-for="(word, i) in bySign ? [v.sign] : linesOf(named(v.name))"
          :key="i"
          :y="6 + (i - ((bySign ? 1 : linesOf(named(v.name)).length) - 1) / 2) * 19"
          text-anchor="middle"
          :font-size="bySign ? 19 : engine.valves.length > 2 ? 16 : 18"
          font-weight="700"
        >
          {{ word }}
        </text>
      </g>
      <template v-if="map.sides">
        <text :x="MAP_WIDTH / 2" y="20" text-anchor="middle" font-size="17" font-weight="600">
          {{ sideWords(map.sides.top) }}
        </text>
        <text :x="MAP_WIDTH / 2" :y="MAP_HEIGHT - 8" text-anchor="middle" font-size="17" font-weight="600">
          {{ sideWords(map.sides.bottom) }}
        </text>
      </template>
    </svg>
    <ul v-if="bySign" class="signs">
      <li v-for="v in map.valves" :key="v.valveId">
        <b>{{ v.sign }}</b> {{ named(v.name) }}
      </li>
    </ul>
  </div>
</template>

<style scoped>
.heads {
  height: 100%;
  width: 100%;
  min-height: 0;
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
}
.head {
  display: block;
  height: 100%;
  width: 100%;
}
.signs {
  list-style: none;
  margin: 0;
  padding: 6px 0 0;
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(120px, 1fr));
  gap: 2px 14px;
  font-size: 15.5px;
}
</style>
