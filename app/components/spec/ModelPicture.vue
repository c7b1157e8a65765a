<script setup lang="ts">
import { computed } from 'vue'
import type { Engine } from '~~/core/engine'
import { rodLengthMm } from '~~/core/engine'
import { placeWords } from '~~/core/job'
import { derivedFacts } from '~~/core/spec-book'
import { named, t, tell } from '../../words'
import ModelWheel from './ModelWheel.vue'

/** The engine drawn from its data, at rest at its first stop; what is assumed is in brackets and said so. */
const props = defineProps<{ engine: Engine }>()
const facts = computed(() => derivedFacts(props.engine))
const plan = computed(() => facts.value.stops.map(s => s.stop))
const valves = (ids: string[]) => {
  const names = ids.map(id => named(props.engine.valves.find(v => v.id === id)!.name).toLowerCase())
  return ids.length === props.engine.valves.length ? t('model-picture.all-valves') : names.join(', ')
}
const corner = computed(() => {
  const { boreMm, strokeMm, rodMm } = props.engine
  return [
    boreMm === null ? t('model-picture.stroke-mm', { strokeMm }) : t('model-picture.bore-stroke', { boreMm, strokeMm }),
    rodMm === null ? null : t('model-picture.rod-mm-2', { rodMm }),
  ].filter(Boolean)
})
</script>

<template>
  <div class="picture">
    <div v-for="(s, i) in facts.stops.slice(0, 2)" :key="s.stop.crankDeg" :class="['stop', i ? 'lower' : 'upper']">
      <h2>{{ t('model-picture.stop-at', { nth: i + 1, crankDeg: Math.round(s.stop.crankDeg) }) }}</h2>
      <p>
        {{ tell(placeWords(engine, s.stop.place)) }}: {{ valves(s.stop.valves.map(v => v.valveId)) }}<br />{{
          t('model-picture.to-spare', { leastSpareDeg: Math.floor(s.leastSpareDeg) })
        }}<template v-if="s.dropMm !== null">{{
          t('model-picture.piston-mm-down', { dropMm: s.dropMm.toFixed(1) })
        }}</template>
      </p>
    </div>
    <div class="data upper">
      <p v-for="c in corner" :key="c!">{{ c }}</p>
      <p v-if="engine.rodMm === null">
        <span class="assumed">{{ t('model-picture.rod-mm', { engine: Math.round(rodLengthMm(engine)) }) }}</span>
        <i>{{ t('common.assumed') }}</i>
      </p>
    </div>
    <div class="data lower">
      <p v-if="engine.cam">
        {{
          t('model-picture.cam', {
            intakeOpensBeforeTdcDeg: engine.cam.intakeOpensBeforeTdcDeg,
            intakeClosesAfterBdcDeg: engine.cam.intakeClosesAfterBdcDeg,
            exhaustOpensBeforeBdcDeg: engine.cam.exhaustOpensBeforeBdcDeg,
            exhaustClosesAfterTdcDeg: engine.cam.exhaustClosesAfterTdcDeg,
          })
        }}
      </p>
      <p v-else>
        <span class="assumed">{{ t('model-picture.cam-timing') }}</span> <i>{{ t('common.assumed') }}</i>
      </p>
      <p v-if="engine.decompressor.kind === 'unknown'">
        <span class="assumed">{{ t('model-picture.decompressor') }}</span> <i>{{ t('common.not-known') }}</i>
      </p>
      <p>
        {{
          t('model-picture.turns-seen-from', {
            clockwise: engine.turning.direction === 'clockwise',
            seenFrom: engine.turning.seenFrom,
          })
        }}
      </p>
    </div>
    <div class="wheel-of">
      <ModelWheel :engine="engine" :stops="plan" />
    </div>
    <p v-if="facts.stops.length > 2" class="more">
      {{ t('model-picture.stops-in-all', { count: facts.stops.length }) }}
    </p>
    <p v-if="facts.unserved.length" class="more">
      <b>{{ t('model-picture.no-stop-serves', { unserved: valves(facts.unserved) }) }}</b>
    </p>
  </div>
</template>

<style scoped>
.picture {
  position: relative;
  display: grid;
  min-height: 420px;
  height: 100%;
  padding: 14px 16px;
  font-family: var(--figures);
  overflow: hidden;
}
.wheel-of {
  grid-area: 1 / 1;
  align-self: center;
  justify-self: center;
  width: 100%;
  max-width: 480px;
  aspect-ratio: 1.13;
}
.stop,
.data {
  position: absolute;
  font-size: 15px;
  line-height: 1.25;
  color: var(--ink2);
  z-index: 1;
  max-width: 170px;
}
.stop h2 {
  font-size: 19px;
  color: var(--ink);
  white-space: nowrap;
}
.stop {
  left: 16px;
}
.data {
  right: 16px;
  text-align: right;
  max-width: 150px;
}
.upper {
  top: 12px;
}
.lower {
  bottom: 12px;
}
.assumed {
  border-bottom: 2px dotted var(--ink2);
}
i {
  font-style: normal;
  font-weight: 600;
}
.more {
  position: absolute;
  left: 50%;
  bottom: 2px;
  transform: translateX(-50%);
  font-size: 14px;
  white-space: nowrap;
}
@media (max-width: 700px) {
  .picture {
    display: block;
  }
  .stop,
  .data {
    position: static;
    text-align: left;
    max-width: none;
    margin-bottom: 6px;
  }
}
</style>
