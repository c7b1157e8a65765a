<script setup lang="ts">
import Button from 'primevue/button'
import { computed } from 'vue'
import type { Engine } from '~~/core/engine'
import { placeWords } from '~~/core/job'
import { assumptionsOf, derivedFacts, type SpecField } from '~~/core/spec-book'
import { named, t, tell } from '../../words'
import ModelWheel from './ModelWheel.vue'

/** The engine as far as it is told: where a job would stop, what is to spare there, what is assumed at which cost. */
const props = defineProps<{ engine: Engine }>()
defineEmits<{ tell: [field: SpecField] }>()
const stops = computed(() => derivedFacts(props.engine).stops)
const assumptions = computed(() => assumptionsOf(props.engine))
const valves = (ids: string[]): string =>
  ids.length === props.engine.valves.length
    ? t('model-picture.all-valves')
    : ids.map(id => named(props.engine.valves.find(v => v.id === id)!.name).toLowerCase()).join(', ')
</script>

<template>
  <aside class="so-far" :aria-label="t('model-so-far.title')">
    <h2>{{ t('model-so-far.title') }}</h2>
    <div class="drawn">
      <ModelWheel :engine="engine" :stops="stops.map(s => s.stop)" />
    </div>
    <ol>
      <li v-for="s in stops" :key="s.stop.crankDeg">
        <b>{{ Math.round(s.stop.crankDeg) }}°</b> {{ tell(placeWords(engine, s.stop.place)) }}:
        {{ valves(s.stop.valves.map(v => v.valveId))
        }}{{ t('model-so-far.spare', { deg: Math.floor(s.leastSpareDeg) }) }}
      </li>
    </ol>
    <template v-if="assumptions.length">
      <h3>{{ t('model-so-far.not-told') }}</h3>
      <ul>
        <li v-for="a in assumptions" :key="a.field">
          <span>{{ tell(a.says) }}</span>
          <Button link :label="t('model-so-far.tell-it')" @click="$emit('tell', a.field)" />
        </li>
      </ul>
    </template>
  </aside>
</template>

<style scoped>
.so-far {
  display: grid;
  gap: 12px;
  align-content: start;
}
.drawn {
  max-width: 420px;
  aspect-ratio: 1.13;
}
ol,
ul {
  margin: 0;
  padding: 0;
  list-style: none;
  display: grid;
  gap: 8px;
}
ol b {
  font: 600 18px/1.2 var(--figures);
}
h3 {
  font: 600 19px/1.2 var(--figures);
}
ul li {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 4px 12px;
  align-items: start;
  border-top: 1px solid var(--line);
  padding-top: 8px;
  font-size: 16px;
}
ul .p-button {
  padding: 0 4px;
  min-height: 44px;
}
</style>
