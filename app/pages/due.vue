<script setup lang="ts">
import Button from 'primevue/button'
import { computed, onMounted, ref, watch } from 'vue'
import { NuxtLink } from '#components'
import { definePageMeta, useHead } from '#imports'
import type { DueItem, DueResponse } from '~~/shared/machines'
import ChoiceField from '../components/forms/ChoiceField.vue'
import ReminderPanel from '../components/machine/ReminderPanel.vue'
import LoadingRows from '../components/shell/LoadingRows.vue'
import { useForm } from '../composables/useForm'
import { LOCALE } from '../language'
import { api } from '../utils/api'
import { t } from '../words'

definePageMeta({ words: ['pages'] })
useHead({ title: t('page-due.due-wembric') })
const form = useForm()
const due = ref<DueResponse | null>(null)
const weeks = ref<number | null>(8)
const told = ref<{ customerId: number } | null>(null)
const load = async () => {
  const asked = weeks.value
  const found = await form.send(() => api('GET /api/due', { query: { weeks: asked ?? 8 } }))
  // a late answer to an earlier choice is not shown as the later one's
  if (found && asked === weeks.value) due.value = found
}
onMounted(load)
watch(weeks, load)
const day = (iso: string) =>
  new Date(iso).toLocaleDateString(LOCALE, {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    ...(iso.slice(0, 4) === due.value?.today.slice(0, 4) ? {} : { year: 'numeric' }),
    timeZone: 'UTC',
  })
const date = (iso: string) =>
  new Date(iso).toLocaleDateString(LOCALE, { day: 'numeric', month: 'long', timeZone: 'UTC' })
interface Week {
  key: string
  name: string
  items: DueItem[]
}
/** What is over first, then week by week. */
const groups = computed((): Week[] => {
  const items = due.value?.items ?? []
  const over = items.filter(i => i.over)
  const ahead = items.filter(i => !i.over)
  return [
    ...(over.length ? [{ key: 'over', name: t('page-due.over'), items: over }] : []),
    ...[...new Set(ahead.map(i => i.week))].map(week => ({
      key: week,
      name: t('page-due.week-of', { week: date(week) }),
      items: ahead.filter(i => i.week === week),
    })),
  ]
})
</script>

<template>
  <main class="due" :class="{ telling: told }">
    <header>
      <h1>{{ t('page-due.due') }}</h1>
      <p v-if="due">
        {{
          t('page-due.until', {
            machines: due.items.length,
            until: date(due.until),
            more: due.more,
          })
        }}<template v-if="due.working">{{ t('page-due.still-being-worked-out') }}</template>
      </p>
      <ChoiceField
        v-model="weeks"
        class="weeks"
        :label="t('page-due.weeks-ahead')"
        :options="[4, 8, 16, 30, 60].map(n => ({ value: n, label: t('page-due.weeks', { weeks: n }) }))"
      /><a class="quiet" href="/api/calendar" download="wembric-due.ics">{{ t('page-due.calendar-file') }}</a>
    </header>
    <div class="list">
      <p v-if="form.failed.value" class="wrong" role="alert">{{ form.failed.value }}</p>
      <LoadingRows v-else-if="!due" :words="t('page-due.looking-what-is-due')" />
      <p v-else-if="due.items.length === 0" class="none">
        {{ t('page-due.nothing-is-due-in-that') }}
      </p>
      <section v-for="g in groups" :key="g.key" :aria-label="g.name" :class="{ over: g.key === 'over' }">
        <h2>
          {{ g.name }}<span>{{ g.items.length }}</span>
        </h2>
        <ul>
          <li v-for="i in g.items" :key="i.machineId" :data-due="i.tag">
            <span class="day"
              ><b>{{ day(i.day) }}</b
              ><small>{{ i.days }}</small></span
            >
            <NuxtLink :to="`/machines/${i.machineId}`" class="what"
              ><b>{{ i.name }}</b
              ><small>{{ i.tag }}, {{ i.owner }}</small></NuxtLink
            >
            <span class="why"
              ><b>{{ i.cause }}</b
              ><small>{{ i.when }}. {{ i.why }}</small></span
            >
            <span class="doors"
              ><NuxtLink v-if="i.openJobId" class="quiet" :to="`/jobs/${i.openJobId}`">{{
                t('common.on-the-bench')
              }}</NuxtLink
              ><template v-else
                ><Button severity="secondary" outlined @click="told = { customerId: i.customerId }">
                  {{ i.toldAt ? t('page-due.told', { toldAt: date(i.toldAt) }) : t('common.tell-the-owner') }}
                </Button></template
              ></span
            >
          </li>
        </ul>
      </section>
    </div>
    <ReminderPanel
      v-if="told"
      :key="told.customerId"
      :customer-id="told.customerId"
      :weeks="weeks ?? 8"
      @done="told = null"
      @told="load"
    />
  </main>
</template>

<style scoped>
.due {
  display: grid;
  grid-template: 84px 1fr / minmax(0, 1fr);
  min-height: calc(100dvh - var(--shop-header));
}
.telling {
  grid-template-columns: minmax(0, 1fr) 420px;
}
header {
  grid-column: 1 / -1;
  display: flex;
  gap: 16px;
  align-items: center;
  padding: 0 20px;
  border-bottom: 1.5px solid var(--ink);
}
h1 {
  font-size: 34px;
  line-height: 36px;
}
header p {
  color: var(--ink2);
  flex: 1;
}
.weeks {
  display: flex;
  align-items: center;
  gap: 10px;
}
.weeks :deep(.p-select) {
  min-height: 48px;
  min-width: 140px;
}
.list {
  padding: 4px 20px 40px;
}
.none {
  max-width: 62ch;
  padding: 20px 0;
  color: var(--ink2);
}
section {
  padding-top: 16px;
}
h2 {
  font-size: 20px;
  display: flex;
  gap: 12px;
  border-bottom: 3px solid var(--ink);
  padding-bottom: 6px;
}
h2 span {
  color: var(--ink2);
  font-weight: 500;
}
.over h2::before {
  content: '○';
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: 150px minmax(170px, 1fr) minmax(0, 2fr) auto;
  gap: 18px;
  align-items: center;
  border-bottom: 1px solid var(--line);
  padding: 9px 0;
  min-height: 62px;
}
li > * {
  display: grid;
}
b {
  font: 600 18px/1.2 var(--figures);
}
small {
  font-size: 15px;
  line-height: 1.3;
  color: var(--ink2);
}
.what {
  color: var(--ink);
  text-decoration: none;
}
.what:hover b {
  text-decoration: underline;
}
.over .day small {
  font-weight: 700;
  color: var(--ink);
}
@media (max-width: 900px) {
  .due,
  .telling {
    display: block;
  }
  header {
    flex-wrap: wrap;
    padding: 12px 16px;
  }
  li {
    grid-template-columns: 1fr;
    gap: 4px;
  }
  .doors {
    justify-content: start;
  }
}
</style>
