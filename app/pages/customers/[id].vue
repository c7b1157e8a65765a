<script setup lang="ts">
import { LOCALE } from '../../language'
import { navigateTo, useHead, useRoute } from '#imports'
import { NuxtLink } from '#components'
import Button from 'primevue/button'
import { computed, onMounted, reactive, ref, watch } from 'vue'
import type { CustomerSummary } from '~~/shared/machines'
import { LANGUAGES, type Language } from '~~/shared/languages'
import type { CustomerRow } from '~~/shared/responses'
import ChoiceField from '../../components/forms/ChoiceField.vue'
import { ownerWords } from '../../components/forms/owner-words'
import TextField from '../../components/forms/TextField.vue'
import { useForm } from '../../composables/useForm'
import { api } from '../../utils/api'
import { t } from '../../words'

/** An owner: how to reach them, their machines, and a year of what was done. */
const id = Number(useRoute().params.id)
const form = useForm()
const other = useForm()
const all = ref<CustomerRow[]>([])
const given = reactive({ name: '', contact: '', email: '', language: null as Language | null })
const summary = ref<CustomerSummary | null>(null)
const thisYear = new Date().getFullYear()
const year = ref<number | null>(thisYear)
const paper = ref<'A4' | 'Letter' | null>('A4')
const intoId = ref<number | null>(null)
const kept = ref('')
const loadYear = async () => {
  summary.value =
    (await form.send(() => api('GET /api/customers/:id/summary', { id, query: { year: year.value } }))) ?? summary.value
}
onMounted(async () => {
  await loadYear()
  all.value = (await form.send(() => api('GET /api/customers'))) ?? []
  const own = all.value.find(c => c.id === id)
  if (own) Object.assign(given, { name: own.name, contact: own.contact, email: own.email, language: own.language })
})
watch(year, loadYear)
useHead({
  title: () => t('page-customers-id.wembric', { name: summary.value?.customer.name ?? t('common.owner') }),
})
const day = (iso: string) =>
  new Date(iso).toLocaleDateString(LOCALE, { day: 'numeric', month: 'short', timeZone: 'UTC' })
const pdf = computed(() => `/api/customers/${id}/summary.pdf?year=${year.value}&paper=${paper.value}`)
async function keep(): Promise<void> {
  kept.value = (await other.send(() => api('PUT /api/customers/:id', { id, body: given }))) ? t('common.saved') : ''
  if (kept.value) await loadYear()
}
async function merge(): Promise<void> {
  if (await other.send(() => api('POST /api/customers/:id/merge', { id, body: { intoId: intoId.value } })))
    await navigateTo(`/customers/${intoId.value}`)
}
async function remove(): Promise<void> {
  if (await other.send(() => api('DELETE /api/customers/:id', { id }))) await navigateTo('/machines')
}
</script>

<template>
  <main class="form customer">
    <h1>{{ summary?.customer.name ?? t('common.owner') }}</h1>
    <p v-if="form.failed.value" class="wrong" role="alert">{{ form.failed.value }}</p>
    <template v-if="summary">
      <section class="year">
        <h2>{{ t('page-customers-id.machines-and-what-was-done', { year: summary.year }) }}</h2>
        <div class="bar">
          <ChoiceField
            v-model="year"
            :label="t('page-customers-id.year')"
            :options="Array.from({ length: 6 }, (_, i) => ({ value: thisYear - i, label: String(thisYear - i) }))"
          /><ChoiceField
            v-model="paper"
            :label="t('page-customers-id.paper')"
            :options="[
              { value: 'A4', label: 'A4' },
              { value: 'Letter', label: t('common.letter') },
            ]"
          /><a class="quiet" :href="pdf" download>{{ t('page-customers-id.summary-as-pdf') }}</a>
        </div>
        <p v-if="summary.machines.length === 0" class="lead">{{ t('page-customers-id.no-machine-is-on-record') }}</p>
        <article v-for="m in summary.machines" :key="m.id">
          <h3>
            <NuxtLink :to="`/machines/${m.id}`">{{ m.name }}</NuxtLink><small>{{ m.tag }}, {{ m.model }}</small>
          </h3>
          <table v-if="m.visits.length + m.records.length" class="rows">
            <tbody>
              <tr v-for="v in m.visits" :key="`v${v.day}${v.number}`">
                <td class="figures">{{ day(v.day) }}</td>
                <td>
                  {{ v.number === null ? t('common.from-paper') : t('page-customers-id.job', { number: v.number }) }}
                </td>
                <td class="figures">{{ v.meter }}</td>
                <td>{{ v.words }}</td>
              </tr>
              <tr v-for="(r, i) in m.records" :key="`r${i}`">
                <td class="figures">{{ day(r.day) }}</td>
                <td />
                <td />
                <td>{{ r.words }}</td>
              </tr>
            </tbody>
          </table>
          <p v-else class="note">{{ t('page-customers-id.not-here-in', { year: summary.year }) }}</p>
          <p class="next">{{ t('page-customers-id.next-due', { due: m.due, why: m.why }) }}</p>
        </article>
      </section>
      <section>
        <h2>{{ t('page-customers-id.how-to-reach-them') }}</h2>
        <form class="fields" @submit.prevent="keep">
          <div class="grid">
            <TextField v-model="given.name" :label="t('common.name')" :wrong="other.wrong('name')" /><TextField
              v-model="given.contact"
              :label="t('page-customers-id.telephone-address')"
              :wrong="other.wrong('contact')"
            /><TextField v-model="given.email" :label="t('common.e-mail')" :wrong="other.wrong('email')" /><ChoiceField
              v-model="given.language"
              :label="t('page-customers-id.language')"
              :options="[
                { value: null, label: t('page-customers-id.as-the-shop') },
                ...Object.entries(LANGUAGES).map(([value, label]) => ({ value: value as Language, label })),
              ]"
              :wrong="other.wrong('language')"
            />
          </div>
          <div class="actions">
            <Button type="submit" :label="t('common.keep')" :loading="other.busy.value" />
            <p v-if="kept" class="note" role="status">{{ kept }}</p>
          </div>
        </form>
        <div class="grid more">
          <ChoiceField
            v-model="intoId"
            :label="t('page-customers-id.on-record-twice-the-one')"
            :options="all.filter(c => c.id !== id).map(c => ({ value: c.id, label: ownerWords(c) }))"
            filter
          />
          <div class="actions">
            <Button severity="secondary" outlined :disabled="!intoId" @click="merge">
              {{ t('page-customers-id.merge') }}</Button><Button severity="secondary" outlined @click="remove">
              {{ t('page-customers-id.remove-owner') }}
            </Button>
          </div>
        </div>
        <p v-if="other.failed.value" class="wrong" role="alert">{{ other.failed.value }}</p>
      </section>
    </template>
    <p v-else-if="!form.failed.value" role="status">{{ t('common.looking') }}</p>
  </main>
</template>

<style scoped>
.customer {
  max-width: 1000px;
}
section {
  display: grid;
  gap: 16px;
}
.bar {
  display: flex;
  gap: 16px;
  align-items: end;
  flex-wrap: wrap;
}
.bar .field {
  width: 150px;
}
article {
  display: grid;
  gap: 6px;
}
h3 {
  font-size: 20px;
  display: flex;
  gap: 12px;
  align-items: baseline;
}
h3 a {
  min-height: 32px;
}
h3 small {
  font: 500 15px/1.2 var(--sentences);
  color: var(--ink2);
}
.next {
  font-weight: 600;
  font-size: 16px;
}
.note {
  color: var(--ink2);
  font-size: 15.5px;
}
.fields {
  display: grid;
  gap: 14px;
}
.more {
  align-items: end;
  padding-top: 10px;
  border-top: 1px solid var(--line);
}
td:first-child {
  white-space: nowrap;
}
</style>
