<script setup lang="ts">
import Column from 'primevue/column'
import DataTable from 'primevue/datatable'
import { type Column as FileColumn, headingOf, otherHeadings } from '~~/core/exchange'
import { t } from '../../words'

/** What a file may hold: the headings that are understood, with what stands below them. */
const EXAMPLES: [FileColumn, string][] = [
  ['maker', 'Brindlow'],
  ['model', 'Wold 389'],
  ['intake', '0.08–0.12'],
  ['exhaust', '0.15 ± 0.02'],
  ['unit', 'mm'],
  ['source', 'Workshop manual, p. 4-12'],
  ['sourceDate', '2024-09-09'],
  ['stroke', '57.8'],
  ['locknut', '10'],
  ['marks', 'T 0, F 346'],
]
const lines = EXAMPLES.map(([column, example]) => ({
  column,
  heading: headingOf(column),
  others: otherHeadings(column).slice(0, 3).join(', '),
  example,
}))
</script>

<template>
  <section class="guide" :aria-label="t('import-guide.what-a-file-may-hold')">
    <h2>{{ t('import-guide.what-a-file-may-hold') }}</h2>
    <DataTable class="few" :value="lines" data-key="column">
      <Column field="heading" :header="t('page-spec-book-import.heading-in-the-file')" body-class="figures" />
      <Column field="others" :header="t('import-guide.or')" />
      <Column field="example" :header="t('import-guide.for-example')" />
    </DataTable>
    <p class="note">{{ t('import-guide.other-names-are-asked') }}</p>
  </section>
</template>

<style scoped>
.guide {
  display: grid;
  gap: 12px;
  align-content: start;
}
.note {
  color: var(--ink2);
}
</style>
