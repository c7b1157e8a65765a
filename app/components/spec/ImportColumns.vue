<script setup lang="ts">
import Button from 'primevue/button'
import Column from 'primevue/column'
import DataTable from 'primevue/datatable'
import Select from 'primevue/select'
import { computed } from 'vue'
import { COLUMNS, headingOf } from '~~/core/exchange'
import type { Delimiter, ImportResponse } from '~~/shared/spec-book'
import { LEFT_OUT } from '../../composables/useSpecImport'
import { t } from '../../words'
import ChoiceField from '../forms/ChoiceField.vue'

/** What each column of a file holds, by its heading and its first rows. */
const props = defineProps<{
  settings: ImportResponse['settings']
  /** Whether something parts its cells: a workbook has cells of its own. */ parted: boolean
}>()
defineEmits<{ respelt: []; read: [] }>()
const mapping = defineModel<string[]>('mapping', { required: true })
const delimiter = defineModel<Delimiter | null>('delimiter', { required: true })
const columns = [
  { value: LEFT_OUT, label: t('page-spec-book-import.leave-it-out') },
  ...COLUMNS.map(c => ({ value: c as string, label: headingOf(c).replaceAll('_', ' ') })),
]
/** A column of the file, by its place and heading. */
type Line = { at: number; heading: string }
const lines = computed((): Line[] => props.settings.headings.map((heading, at) => ({ at, heading })))
const DELIMITERS = [
  { value: ',', label: t('import-columns.comma') },
  { value: ';', label: t('import-columns.semicolon') },
  { value: '\t', label: t('import-columns.tab') },
  { value: '|', label: t('import-columns.bar') },
]
</script>

<template>
  <section class="mapping" :aria-label="t('common.columns')">
    <h2>{{ t('page-spec-book-import.what-each-column-holds') }}</h2>
    <div v-if="parted" class="grid">
      <ChoiceField
        v-model="delimiter"
        :label="t('page-spec-book-import.separator')"
        :options="DELIMITERS"
        @update:model-value="$emit('respelt')"
      />
    </div>
    <DataTable class="few" :value="lines" data-key="at" :row-class="l => ({ left: mapping[l.at] === LEFT_OUT })">
      <Column :header="t('page-spec-book-import.heading-in-the-file')" body-class="figures">
        <template #body="{ data }: { data: Line }">{{ data.heading || t('page-spec-book-import.empty') }}</template>
      </Column>
      <Column :header="t('page-spec-book-import.is')">
        <template #body="{ data }: { data: Line }"
          ><Select
            v-model="mapping[data.at]"
            :options="columns"
            option-label="label"
            option-value="value"
            filter
            :aria-label="t('page-spec-book-import.heading-is', { heading: data.heading })"
        /></template>
      </Column>
      <Column v-for="(row, i) in settings.first" :key="i" :header="t('page-spec-book-import.row', { row: i + 2 })">
        <template #body="{ data }: { data: Line }"
          ><span class="cell">{{ row[data.at] }}</span></template
        >
      </Column>
    </DataTable>
    <p class="note">
      {{
        t('page-spec-book-import.what-you-choose-is-remembered', {
          every: mapping.every(m => m !== LEFT_OUT)
            ? t('page-spec-book-import.every-column-is-assigned')
            : t('page-spec-book-import.left-out', { count: mapping.filter(m => m === LEFT_OUT).length }),
        })
      }}
    </p>
    <div class="actions"><Button :label="t('page-spec-book-import.check-the-rows')" @click="$emit('read')" /></div>
  </section>
</template>

<style scoped>
.mapping {
  display: grid;
  gap: 14px;
}
.mapping :deep(.p-select) {
  width: 190px;
}
span.cell {
  display: block;
  font-size: 15px;
  color: var(--ink2);
  max-width: 240px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
:deep(.left .figures) {
  color: var(--ink3);
}
</style>
