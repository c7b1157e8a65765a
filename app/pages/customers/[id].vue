<script setup lang="ts">
import Button from 'primevue/button'
import Column from 'primevue/column'
import DataTable from 'primevue/datatable'
import { computed, onMounted, ref, watch } from 'vue'
import { NuxtLink } from '#components'
import { definePageMeta, navigateTo, useHead, useRoute } from '#imports'
import { type CustomerRow, customerSchema } from '~~/shared/customers'
import { type Language, LANGUAGES } from '~~/shared/languages'
import type { CustomerSummary } from '~~/shared/machines'
import CheckedForm from '../../components/forms/CheckedForm.vue'
import ChoiceField from '../../components/forms/ChoiceField.vue'
import EndButton from '../../components/forms/EndButton.vue'
import { ownerWords } from '../../components/forms/owner-words'
import TextField from '../../components/forms/TextField.vue'
import LoadingRows from '../../components/shell/LoadingRows.vue'
import { useForm } from '../../composables/useForm'
import { useSaid } from '../../composables/useSaid'
import { useTypedOver } from '../../composables/useTypedOver'
import { LOCALE } from '../../language'
import { useSessionStore } from '../../stores/session'
import { api } from '../../utils/api'
import { t } from '../../words'

definePageMeta({ words: ['pages'] })
/** An owner: how to reach them, their machines, and a year of what was done. */
const id = Number(useRoute().params.id)
const form = useForm()
const keeping = useForm()
const other = useForm()
const session = useSessionStore()
const all = ref<CustomerRow[]>([])
const typed = useTypedOver(
  { name: '', contact: '', email: '', language: null as Language | null },
  ({ name, contact, email, language }: CustomerRow) => ({ name, contact, email, language }),
)
const { given } = typed
const summary = ref<CustomerSummary | null>(null)
const thisYear = new Date().getFullYear()
const year = ref<number | null>(thisYear)
// the paper of the place. Common practice: Letter in the Americas, A4 elsewhere
const paper = ref<'A4' | 'Letter' | null>(session.shop?.timeZone.startsWith('America/') ? 'Letter' : 'A4')
const intoId = ref<number | null>(null)
const into = computed(() => all.value.find(c => c.id === intoId.value)?.name ?? '')
const said = useSaid()
const loadYear = async () => {
  const asked = year.value
  const found = await form.send(() => api('GET /api/customers/:id/summary', { id, query: { year: asked } }))
  // a late answer to an earlier choice is not shown as the later one's
  if (found && asked === year.value) summary.value = found
}
/** How to reach them as it is on record: nothing is kept over what this page has not read. */
const own = computed(() => all.value.find(c => c.id === id) ?? null)
async function loadOwners(): Promise<void> {
  all.value = (await form.send(() => api('GET /api/customers'))) ?? all.value
  if (own.value) typed.follow(own.value)
}
onMounted(async () => {
  await loadYear()
  await loadOwners()
})
watch(year, loadYear)
useHead({
  title: () => t('page-customers-id.wembric', { name: summary.value?.customer.name ?? t('common.owner') }),
})
const day = (iso: string) =>
  new Date(iso).toLocaleDateString(LOCALE, { day: 'numeric', month: 'short', timeZone: 'UTC' })
const pdf = computed(() => `/api/customers/${id}/summary.pdf?year=${year.value}&paper=${paper.value}`)
/** Visits and what else is on record of a machine, a line each. */
const rowsOf = ({ visits, records }: CustomerSummary['machines'][number]) => [
  ...visits.map(v => ({
    key: `v${v.day}${v.number}`,
    day: day(v.day),
    what: v.number === null ? t('common.from-paper') : t('page-customers-id.job', { number: v.number }),
    meter: v.meter,
    words: v.words,
  })),
  ...records.map((r, i) => ({ key: `r${i}`, day: day(r.day), what: '', meter: '', words: r.words })),
]
async function keep(): Promise<void> {
  const body = { ...given, was: typed.seen() }
  const kept = await keeping.send(() => api('PUT /api/customers/:id', { id, body }))
  if (kept || keeping.isChangedMeanwhile()) await loadOwners()
  if (!kept) return
  said()
  await loadYear()
}
async function merge(): Promise<void> {
  if (await other.send(() => api('POST /api/customers/:id/merge', { id, body: { intoId: intoId.value } })))
    await navigateTo(`/customers/${intoId.value}`)
}
async function erase(): Promise<void> {
  if (await other.send(() => api('POST /api/customers/:id/erase', { id }))) await navigateTo('/machines')
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
          <DataTable v-if="m.visits.length + m.records.length" class="few" :value="rowsOf(m)" data-key="key">
            <Column field="day" :header="t('past-visit-form.day')" body-class="figures" />
            <Column field="what" :header="t('common.what')" />
            <Column field="meter" :header="t('common.meter')" body-class="figures" />
            <Column field="words" :header="t('summary.what-was-done')" />
          </DataTable>
          <p v-else class="note">{{ t('page-customers-id.not-here-in', { year: summary.year }) }}</p>
          <p class="next">{{ t('page-customers-id.next-due', { due: m.due, why: m.why }) }}</p>
        </article>
      </section>
      <section v-if="own">
        <h2>{{ t('page-customers-id.how-to-reach-them') }}</h2>
        <CheckedForm class="fields" :form="keeping" :schema="customerSchema" :body="() => given" @send="keep">
          <div class="grid">
            <TextField v-model="given.name" :label="t('common.name')" name="name" /><TextField
              v-model="given.contact"
              :label="t('page-customers-id.telephone-address')"
              name="contact"
            /><TextField v-model="given.email" :label="t('common.e-mail')" name="email" /><ChoiceField
              v-model="given.language"
              :label="t('page-customers-id.language')"
              :options="[
                { value: null, label: t('page-customers-id.as-the-shop') },
                ...Object.entries(LANGUAGES).map(([value, label]) => ({ value: value as Language, label })),
              ]"
              name="language"
            />
          </div>
          <p v-if="keeping.failed.value" class="wrong" role="alert">{{ keeping.failed.value }}</p>
          <div class="actions">
            <Button type="submit" :label="t('common.keep')" :loading="keeping.busy.value" />
          </div>
        </CheckedForm>
        <div class="grid more">
          <ChoiceField
            v-model="intoId"
            :label="t('page-customers-id.on-record-twice-the-one')"
            :options="all.filter(c => c.id !== id).map(c => ({ value: c.id, label: ownerWords(c) }))"
            filter
          />
          <div class="actions">
            <EndButton
              :label="t('page-customers-id.merge')"
              :ask="t('page-customers-id.merge-asks', { name: summary.customer.name, into })"
              :disabled="!intoId"
              @end="merge"
            /><EndButton
              :label="t('page-customers-id.remove-owner')"
              :ask="t('page-customers-id.remove-asks', { name: summary.customer.name })"
              @end="remove"
            />
          </div>
        </div>
        <p v-if="other.failed.value" class="wrong" role="alert">{{ other.failed.value }}</p>
      </section>
      <section>
        <h2>{{ t('page-customers-id.privacy') }}</h2>
        <p class="note">{{ t('page-customers-id.privacy-what') }}</p>
        <div class="actions">
          <a class="quiet" :href="`/api/customers/${id}/record`" download>{{ t('page-customers-id.save-record') }}</a>
          <EndButton
            v-if="session.isLead"
            :label="t('page-customers-id.erase')"
            :ask="t('page-customers-id.erase-asks', { name: summary.customer.name })"
            @end="erase"
          />
        </div>
      </section>
    </template>
    <LoadingRows v-else-if="!form.failed.value" :words="t('common.looking')" />
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
  min-height: 44px;
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
