<script setup lang="ts">
import InputText from 'primevue/inputtext'
import ToggleSwitch from 'primevue/toggleswitch'
import { computed, ref, watch } from 'vue'
import { NuxtLink } from '#components'
import {
  type Drill,
  type Guidance,
  GUIDANCES,
  type Level,
  LEVEL_RULES,
  type PracticeEngine,
  practiceEngineAbout,
  rulesOf,
} from '~~/core/practice'
import type { BestRun, RunOverTime } from '~~/shared/practice'
import { t, tell } from '../../words'
import RunsOverTime from './RunsOverTime.vue'

/** What to practise on and how hard: an engine, a level, and how much the Bench helps; with the best that was done. */
const props = defineProps<{
  engines: PracticeEngine[]
  own: PracticeEngine[]
  best: BestRun[]
  runs: RunOverTime[]
  ownId: number
  failed: string
}>()
const emit = defineEmits<{
  begin: [choice: { kind: PracticeEngine; level: Level; guidance: Guidance; drill?: Drill }]
  find: [q: string]
}>()
const sounds = defineModel<boolean>('sounds', { required: true })
const kind = ref(props.engines[0]!)
const level = ref<Level>(1)
const guidance = ref<Guidance>('on')
const drill = ref<Drill | null>(null)
const WHATS = [
  { drill: 'find' as const, name: t('start-choice.just-find-tdc'), about: t('start-choice.two-minutes') },
  { drill: null, name: t('start-choice.the-whole-job'), about: t('start-choice.find-measure-set-prove') },
]
const begin = () =>
  emit('begin', {
    kind: kind.value,
    level: level.value,
    guidance: guidance.value,
    ...(drill.value ? { drill: drill.value } : {}),
  })
const q = ref('')
watch(level, l => {
  guidance.value = rulesOf(l).guidance
})
watch(q, text => emit('find', text))
const GUIDANCE_WORDS: Record<Guidance, string> = {
  'on': t('start-choice.the-bench-leads'),
  'on demand': t('start-choice.when-i-ask-2-points'),
  'off': t('start-choice.not-at-all'),
}
const bests = computed(() =>
  props.best
    .filter(b => b.engineId === kind.value.id && b.level === level.value && b.drill === drill.value)
    .slice(0, 5),
)
const time = (seconds: number) => `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`
</script>

<template>
  <main class="start">
    <section>
      <h1>{{ t('common.practice') }}</h1>
      <p class="lead">
        {{ t('start-choice.a-virtual-engine-with-its') }}
        <NuxtLink to="/glossary">{{ t('glossary.title') }}</NuxtLink>
      </p>
      <h2 id="engines">{{ t('common.engine') }}</h2>
      <div class="engines" role="radiogroup" aria-labelledby="engines">
        <button
          v-for="e in engines"
          :key="e.id"
          type="button"
          role="radio"
          class="key pick"
          :class="{ chosen: e.id === kind.id }"
          :aria-checked="e.id === kind.id"
          :data-engine="e.id"
          @click="kind = e"
        >
          <b>{{ e.name }}</b><span>{{ tell(practiceEngineAbout(e)) }}</span>
        </button>
      </div>
      <label class="find" for="own-engine">{{ t('start-choice.or-a-model-of-the') }}</label><InputText
        id="own-engine"
        v-model="q"
        type="search"
        :placeholder="t('start-choice.type-maker-or-model')"
        autocomplete="off"
      />
      <div v-if="own.length" class="engines" role="radiogroup" :aria-label="t('start-choice.models-of-the-spec-book')">
        <button
          v-for="e in own"
          :key="e.id"
          type="button"
          role="radio"
          class="key pick"
          :class="{ chosen: e.id === kind.id }"
          :aria-checked="e.id === kind.id"
          :data-engine="e.id"
          @click="kind = e"
        >
          <b>{{ e.name }}</b><span>{{ tell(practiceEngineAbout(e)) }}</span>
        </button>
      </div>
      <p v-if="failed" class="wrong" role="alert">{{ failed }}</p>
    </section>
    <section>
      <h2 id="whats">{{ t('common.what') }}</h2>
      <div class="whats" role="radiogroup" aria-labelledby="whats">
        <button
          v-for="w in WHATS"
          :key="w.name"
          type="button"
          role="radio"
          class="key pick"
          :class="{ chosen: w.drill === drill }"
          :aria-checked="w.drill === drill"
          :data-drill="w.drill ?? 'whole'"
          @click="drill = w.drill"
        >
          <b>{{ w.name }}</b><span>{{ w.about }}</span>
        </button>
      </div>
      <h2 id="levels">{{ t('start-choice.level') }}</h2>
      <div class="levels" role="radiogroup" aria-labelledby="levels">
        <button
          v-for="r in LEVEL_RULES"
          :key="r.level"
          type="button"
          role="radio"
          class="key pick"
          :class="{ chosen: r.level === level }"
          :aria-checked="r.level === level"
          :data-level="r.level"
          @click="level = r.level"
        >
          <b>{{ r.level }}. {{ t(`practice-level.${r.level}`) }}</b
          ><span>{{ t(`practice-level.${r.level}.about`) }}</span>
        </button>
      </div>
      <h2 id="help">{{ t('start-choice.help-from-the-bench') }}</h2>
      <div class="helps" role="radiogroup" aria-labelledby="help">
        <button
          v-for="g in GUIDANCES"
          :key="g"
          type="button"
          role="radio"
          class="key pick"
          :class="{ chosen: g === guidance }"
          :aria-checked="g === guidance"
          :data-guidance="g"
          @click="guidance = g"
        >
          <b>{{ GUIDANCE_WORDS[g] }}</b>
        </button>
      </div>
      <label class="sounds" for="start-sounds"
        ><ToggleSwitch v-model="sounds" input-id="start-sounds" /> {{ t('page-practice.sound-and-shaking') }}</label
      >
      <button type="button" class="key go" data-testid="begin" @click="begin">
        {{ t('start-choice.begin-on-the', { name: kind.name }) }}
      </button>
      <h2>{{ t('start-choice.best-here') }}</h2>
      <p v-if="bests.length === 0" class="lead">{{ t('start-choice.nobody-has-handed-this-one') }}</p>
      <ol v-else class="best">
        <li v-for="b in bests" :key="b.personId">
          <b>{{ b.person }}</b><span>{{ t('start-choice.of-100', { score: b.score }) }}</span
          ><span>{{ time(b.seconds) }}</span>
        </li>
      </ol>
      <RunsOverTime v-if="runs.length" :runs="runs" :own-id="ownId" />
    </section>
  </main>
</template>

<style scoped>
.pick {
  align-content: start;
}
.start {
  display: grid;
  grid-template-columns: minmax(0, 1.25fr) minmax(0, 1fr);
  gap: 0 36px;
  padding: 24px 28px 48px;
  max-width: 1280px;
  align-items: start;
}
section {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
}
h1 {
  font-size: 34px;
  line-height: 36px;
}
h2 {
  font-size: 20px;
  padding-top: 8px;
}
.lead {
  color: var(--ink2);
}
.engines {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(215px, 1fr));
  gap: 8px;
}
.levels {
  display: grid;
  gap: 8px;
}
.whats {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
}
.helps {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 8px;
}
.helps b {
  font-size: 16.5px;
}
.sounds {
  display: flex;
  gap: 12px;
  align-items: center;
  min-height: 44px;
}
.find {
  margin-top: 6px;
  font-size: 16px;
}
input {
  min-height: 48px;
  max-width: 440px;
}
.go {
  min-height: 64px;
  place-items: center;
  font: 600 23px/1.1 var(--figures);
  background: var(--petrol);
  color: var(--on-petrol);
  border-color: var(--ink);
  padding: 0 16px;
}
.best {
  list-style: none;
  padding: 0;
  margin: 0;
}
.best li {
  display: grid;
  grid-template-columns: 1fr auto 70px;
  gap: 14px;
  padding: 8px 0;
  border-bottom: 1px solid var(--line);
  font: 500 17px/1.2 var(--figures);
}
.best span:last-child {
  text-align: right;
}
@media (max-width: 800px) {
  .start {
    grid-template-columns: minmax(0, 1fr);
    padding: 16px;
  }
  .helps {
    grid-template-columns: 1fr;
  }
  /* a shelf to be swiped: what is chosen below it is not pushed off the screen */
  .engines {
    display: flex;
    overflow-x: auto;
    scroll-snap-type: x proximity;
    padding-bottom: 6px;
    margin-inline: -16px;
    padding-inline: 16px;
  }
  .engines .pick {
    flex: none;
    width: 200px;
    scroll-snap-align: center;
  }
  .go {
    position: sticky;
    bottom: 10px;
    z-index: 1;
  }
}
</style>
