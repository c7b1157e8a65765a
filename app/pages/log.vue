<script setup lang="ts">
import Button from 'primevue/button'
import Column from 'primevue/column'
import DataTable from 'primevue/datatable'
import { computed, onMounted, reactive, ref, watch } from 'vue'
import { definePageMeta, useHead } from '#imports'
import type { PersonRow } from '~~/shared/people'
import { LOG_KINDS, type LogKind, type LogRow } from '~~/shared/shop-log'
import ChoiceField from '../components/forms/ChoiceField.vue'
import LoadingRows from '../components/shell/LoadingRows.vue'
import { useForm } from '../composables/useForm'
import { LOCALE } from '../language'
import { useSessionStore } from '../stores/session'
import { api } from '../utils/api'
import { t } from '../words'

definePageMeta({ words: ['pages'] })
useHead({ title: t('page-log.title-wembric') })
const session = useSessionStore()
const form = useForm()
const rows = ref<LogRow[] | null>(null)
const before = ref<number | null>(null)
const people = ref<PersonRow[]>([])
const asked = reactive({ kind: null as LogKind | null, person: null as string | null })
const query = computed(() => ({ kind: asked.kind ?? undefined, person: asked.person ?? undefined }))

let latest = 0
async function load(from?: number): Promise<void> {
  const own = ++latest
  const page = await form.send(() => api('GET /api/log', { query: { ...query.value, before: from } }))
  // what was asked for last is shown: not an earlier question that is answered late, and no page twice
  if (!page || own !== latest) return
  rows.value = from === undefined ? page.rows : [...(rows.value ?? []), ...page.rows]
  before.value = page.before
}
onMounted(async () => {
  await load()
  people.value = (await form.send(() => api('GET /api/people'))) ?? []
})
watch(query, () => load())
const kinds = [
  { value: null, label: t('page-log.all') },
  ...LOG_KINDS.map(kind => ({ value: kind, label: t('log.kind', { kind }) })),
]
const persons = computed(() => [
  { value: null, label: t('page-log.everybody') },
  ...people.value.map(({ name }) => ({ value: name, label: name })),
])
const exportPath = computed(
  () =>
    `/api/log-export?${new URLSearchParams(Object.entries(query.value).filter((e): e is [string, string] => !!e[1]))}`,
)
const when = (iso: string): string =>
  new Intl.DateTimeFormat(LOCALE, {
    dateStyle: 'medium',
    timeStyle: 'short',
    timeZone: session.shop?.timeZone ?? 'UTC',
  }).format(new Date(iso))
</script>

<template>
  <main class="form log">
    <h1>{{ t('page-log.title') }}</h1>
    <p class="lead">{{ t('page-log.what-stands-here') }}</p>
    <div class="asked">
      <ChoiceField v-model="asked.kind" :label="t('shop-log.done')" :options="kinds" filter />
      <ChoiceField v-model="asked.person" :label="t('common.who')" :options="persons" />
      <a class="quiet" :href="exportPath" download>{{ t('page-log.export') }}</a>
    </div>
    <p v-if="form.failed.value" class="wrong" role="alert">{{ form.failed.value }}</p>
    <LoadingRows v-else-if="!rows" :words="t('page-log.reading')" />
    <p v-if="rows?.length === 0" class="lead">{{ t('page-log.nothing') }}</p>
    <DataTable v-else-if="rows" class="few" :value="rows" data-key="id">
      <Column field="at" :header="t('shop-log.at')" body-class="figures">
        <template #body="{ data }: { data: LogRow }">{{ when(data.at) }}</template>
      </Column>
      <Column field="person" :header="t('common.who')" />
      <Column field="kind" :header="t('shop-log.done')">
        <template #body="{ data }: { data: LogRow }">{{ t('log.kind', { kind: data.kind }) }}</template>
      </Column>
      <Column field="what" :header="t('shop-log.what')" />
    </DataTable>
    <div v-if="before !== null" class="actions">
      <Button
        severity="secondary"
        outlined
        :label="t('page-log.more')"
        :loading="form.busy.value"
        @click="load(before)"
      />
    </div>
  </main>
</template>

<style scoped>
.log {
  max-width: 1100px;
}
.asked {
  display: grid;
  grid-template-columns: minmax(0, 1.4fr) minmax(0, 1fr) auto;
  gap: 14px;
  align-items: end;
}
@media (max-width: 600px) {
  .asked {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
