<script setup lang="ts">
import { computed } from 'vue'
import type { Engine } from '~~/core/engine'
import { headWords } from '../../bench/picture-words'
import { named, t } from '../../words'

/** The head seen from above: intake larger, on the carburetor side; exhaust on the muffler side. */
const props = defineProps<{ engine: Engine }>()
const W = 420
const H = 340
const several = computed(() => props.engine.valves.length > 2)
const size = computed(() => (props.engine.valves.length > 4 ? 0.62 : several.value ? 0.92 : 1))
/** A name on two lines where there is little room: “Left / intake”. */
const linesOf = (name: string): string[] =>
  several.value && name.length > 8
    ? [name.slice(0, name.lastIndexOf(' ')), name.slice(name.lastIndexOf(' ') + 1)]
    : [name]
const headX = (x: number): number => 90 + x * 240
/**
 * One combustion chamber a cylinder, about its own valves, with the plug beside them, or between them where there is
 * little room.
 */
const chambers = computed(() =>
  props.engine.cylinders.map((c, _, all) => {
    const own = props.engine.valves.filter(v => v.cylinderId === c.id).map(v => headX(v.headX))
    const x = own.length ? own.reduce((a, b) => a + b, 0) / own.length : W / 2
    return all.length > 1
      ? { id: c.id, x, r: Math.min(112, 216 / all.length / 2), plugX: x }
      : { id: c.id, x: W / 2, r: 112, plugX: 294 }
  }),
)
</script>

<template>
  <svg :viewBox="`0 0 ${W} ${H + 60}`" class="head" role="img" :aria-label="headWords(engine)">
    <text :x="W / 2" y="18" text-anchor="middle" font-size="17" font-weight="600">
      {{ t('common.muffler-side') }}
    </text>
    <path d="M 180 30 V 70 M 240 30 V 70" stroke="var(--ink)" stroke-width="1.6" />
    <path d="M 172 340 V 372 M 248 340 V 372" stroke="var(--ink)" stroke-width="1.6" />
    <rect x="90" y="62" width="240" height="280" rx="16" fill="var(--sheet)" stroke="var(--ink)" stroke-width="2" />
    <g v-for="c in chambers" :key="c.id" class="chamber">
      <circle :cx="c.x" :cy="H / 2 + 32" :r="c.r" fill="none" stroke="var(--ink)" stroke-dasharray="5 4" />
      <circle :cx="c.plugX" :cy="H / 2 + 32" r="14" fill="var(--white)" stroke="var(--ink)" stroke-width="1.6" />
      <path
        :d="`M ${c.plugX - 7} ${H / 2 + 32} h 14 M ${c.plugX} ${H / 2 + 25} v 14`"
        stroke="var(--ink)"
        stroke-width="1.8"
      />
    </g>
    <g
      v-for="valve in engine.valves"
      :key="valve.id"
      :transform="`translate(${90 + valve.headX * 240} ${62 + valve.headY * 280})`"
    >
      <circle
        :r="(valve.role === 'intake' ? 46 : 39) * size"
        fill="var(--white)"
        stroke="var(--ink)"
        stroke-width="2.4"
      />
      <text
        v-for="(word, i) in linesOf(named(valve.name))"
        :key="i"
        :y="6 + (i - (linesOf(named(valve.name)).length - 1) / 2) * 19"
        text-anchor="middle"
        :font-size="several ? 16 : 18"
        font-weight="700"
      >
        {{ word }}
      </text>
    </g>
    <text :x="W / 2" :y="H + 54" text-anchor="middle" font-size="17" font-weight="600">
      {{ t('common.carburetor-side') }}
    </text>
  </svg>
</template>

<style scoped>
.head {
  display: block;
  height: 100%;
  width: 100%;
}
</style>
