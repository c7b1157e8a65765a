<script setup lang="ts">
import Button from 'primevue/button'
import Select from 'primevue/select'
import { COLUMNS, headingOf } from '~~/core/exchange'
import type { Delimiter, ImportResponse } from '~~/shared/spec-book'
import { LEFT_OUT } from '../../composables/useSpecImport'
import ChoiceField from '../forms/ChoiceField.vue'
import { t } from '../../words'

/** What each column of a file holds, by its heading and its first rows. */
defineProps<{ settings: ImportResponse['settings'] }>()
defineEmits<{ respelt: []; read: [] }>()
const mapping = defineModel<string[]>('mapping', { required: true })
const delimiter = defineModel<Delimiter | null>('delimiter', { required: true })
const columns = [
  { value: LEFT_OUT, label: t('page-spec-book-import.leave-it-out') },
  ...COLUMNS.map(c => ({ value: c as string, label: headingOf(c).replaceAll('_', ' ') })),
]
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
    <div class="grid">
      <ChoiceField
        v-model="delimiter"
        :label="t('page-spec-book-import.separator')"
        :options="DELIMITERS"
        @update:model-value="$emit('respelt')"
      />
    </div>
    <div class="scroll">
      <table class="rows">
        <thead>
          <tr>
            <th>{{ t('page-spec-book-import.heading-in-the-file') }}</th>
            <th>{{ t('page-spec-book-import.is') }}</th>
            <th v-for="(_, i) in settings.first" :key="i">
              {{ t('page-spec-book-import.row', { row: i + 2 }) }}
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(h, i) in settings.headings" :key="i" :class="{ left: mapping[i] === LEFT_OUT }">
            <td class="figures">{{ h || t('page-spec-book-import.empty') }}</td>
            <td>
              <Select
                v-model="mapping[i]"
                :options="columns"
                option-label="label"
                option-value="value"
                filter
                :aria-label="t('page-spec-book-import.heading-is', { heading: h })"
              />
            </td>
            <td v-for="(row, n) in settings.first" :key="n" class="cell">{{ row[i] }}</td>
          </tr>
        </tbody>
      </table>
    </div>
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
.scroll {
  overflow-x: auto;
}
.mapping {
  display: grid;
  gap: 14px;
}
.mapping :deep(.p-select) {
  width: 190px;
}
.cell {
  font-size: 15px;
  color: var(--ink2);
  max-width: 240px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.left .figures {
  color: var(--ink3);
}
</style>
