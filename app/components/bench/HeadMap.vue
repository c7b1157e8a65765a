<script setup lang="ts">
import { computed } from 'vue'
import { type Engine, headMap } from '~~/core/engine'
import { headWords } from '../../bench/picture-words'
import { named } from '../../words'
import HeadsDrawing from '../engine/HeadsDrawing.vue'

/** The heads as they are at the machine: names in the circles of few valves, signs where there are many. */
const props = defineProps<{ engine: Engine }>()
const map = computed(() => headMap(props.engine))
const bySign = computed(() => props.engine.heads !== undefined || props.engine.valves.length > 4)
/** A name on two lines where there is little room: “Left / intake”. */
const linesOf = (name: string): string[] =>
  props.engine.valves.length > 2 && name.length > 8
    ? [name.slice(0, name.lastIndexOf(' ')), name.slice(name.lastIndexOf(' ') + 1)]
    : [name]
const letters = computed(() => ({
  valve: bySign.value ? 19 : props.engine.valves.length > 2 ? 16 : 18,
  head: 17,
  side: 17,
}))
</script>

<template>
  <div class="heads">
    <HeadsDrawing
      class="head"
      :map="map"
      :label="headWords(engine)"
      :words-of="v => (bySign ? [v.sign] : linesOf(named(v.name)))"
      :letters="letters"
    />
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
