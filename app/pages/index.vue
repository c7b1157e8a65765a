<script setup lang="ts">
import { navigateTo, useHead } from '#imports'
import { NuxtLink } from '#components'
import { computed, onMounted, ref } from 'vue'
import type { BayColumn } from '~~/core/job'
import type { BayResponse } from '~~/shared/responses'
import BayCardView from '../components/bay/BayCardView.vue'
import { useKeys } from '../composables/useKeys'
import { useLive } from '../composables/useLive'
import { useSessionStore } from '../stores/session'
import { api, NoAnswer, wordsFor } from '../utils/api'

useHead({ title: 'Bay, Wembric' })
const session = useSessionStore()
const bay = ref<BayResponse | null>(null)
const failed = ref('')
const COLUMNS: { key: BayColumn, name: string, empty: string }[] = [
  { key: 'cooling', name: 'Cooling', empty: 'Nothing is cooling.' }, { key: 'ready', name: 'Ready', empty: 'Nothing waits.' },
  { key: 'bench', name: 'On the bench', empty: 'The bench is clear.' }, { key: 'prove', name: 'To prove', empty: 'Nothing to prove.' }, { key: 'done', name: 'Done today', empty: 'Nothing done yet.' },
]
const cards = (key: BayColumn) => bay.value?.cards.filter(c => c.column === key) ?? []
const open = computed(() => bay.value?.cards.filter(c => c.column !== 'done').length ?? 0)

async function load(): Promise<void> {
  try {
    bay.value = await api.get<BayResponse>('/api/bay')
    session.learnTime(bay.value.now)
    session.offline = false
    failed.value = ''
  }
  catch (error) {
    session.offline = error instanceof NoAnswer
    failed.value = wordsFor(error)
  }
}
onMounted(load)
let soon: ReturnType<typeof setTimeout> | undefined
useLive(() => {
  clearTimeout(soon)
  soon = setTimeout(load, 150)
})
useKeys({ n: () => navigateTo('/jobs/new') })
</script>

<template>
  <main class="bay">
    <div class="day">
      <h1>{{ bay?.today ?? 'Today' }}</h1>
      <p v-if="bay">{{ open === 1 ? '1 open job' : `${open} open jobs` }}</p>
      <NuxtLink to="/jobs/new" class="new">New job <kbd>N</kbd></NuxtLink>
    </div>
    <p v-if="failed" class="said" role="alert">{{ failed }} <button type="button" class="link" @click="load">Try again</button></p>
    <p v-else-if="!bay" class="said" role="status">Fetching the board …</p>
    <div v-if="bay && bay.cards.length === 0" class="first">
      <h2>No jobs yet</h2>
      <p>A job needs a blade set (Shelf), an engine model with its spec (Spec book) and a machine, which you add with its first job.</p>
      <p class="actions"><NuxtLink class="quiet" to="/shelf">Add a blade set</NuxtLink><NuxtLink class="quiet" to="/spec-book/new">Add a model</NuxtLink><NuxtLink class="quiet" to="/jobs/new">Open a job</NuxtLink></p>
    </div>
    <div v-else-if="bay" class="columns">
      <section v-for="column in COLUMNS" :key="column.key" :class="column.key" :aria-label="column.name">
        <h2>{{ column.name }}<span>{{ cards(column.key).length }}</span></h2>
        <BayCardView v-for="card in cards(column.key)" :key="card.jobId" :card="card" />
        <p v-if="cards(column.key).length === 0" class="empty">{{ column.empty }}</p>
      </section>
    </div>
  </main>
</template>

<style scoped>
.bay { display: grid; grid-template-rows: 84px auto 1fr; min-height: 0; }
.day { display: flex; align-items: center; gap: 16px; padding: 0 20px; border-bottom: 1.5px solid var(--ink); } .day h1 { font-size: 36px; } .day p { color: var(--ink2); }
.new { margin-left: auto; background: var(--petrol); color: var(--on-petrol); border-radius: 8px; font: 600 21px/1 var(--figures); padding: 0 20px; min-height: 56px; display: inline-flex; align-items: center; gap: 12px; text-decoration: none; }
.new kbd { background: transparent; color: inherit; border-color: currentColor; }
.columns { display: grid; grid-template-columns: repeat(5, minmax(0, 1fr)); grid-row: 3; }
section { padding: 12px 20px 0; border-right: 1px solid var(--line); } section.bench { background: var(--sheet); }
h2 { font-size: 18px; display: flex; justify-content: space-between; padding-bottom: 12px; } h2 span { color: var(--ink2); font-weight: 500; }
.empty { border-top: 3px solid var(--line); padding-top: 12px; font-size: 15.5px; color: var(--ink3); }
.first { padding: 40px 20px; display: grid; gap: 14px; max-width: 62ch; align-content: start; } .said { margin: 12px 20px; }
@media (max-width: 900px) { .columns { grid-template-columns: 1fr; } section { border-right: 0; } .day h1 { font-size: 26px; } .empty { padding-bottom: 16px; } .day { gap: 8px; } .day p { display: none; } }
</style>
