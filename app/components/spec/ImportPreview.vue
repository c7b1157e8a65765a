<script setup lang="ts">
import Button from 'primevue/button'
import Column from 'primevue/column'
import DataTable from 'primevue/datatable'
import Tab from 'primevue/tab'
import TabList from 'primevue/tablist'
import TabPanel from 'primevue/tabpanel'
import TabPanels from 'primevue/tabpanels'
import Tabs from 'primevue/tabs'
import { computed } from 'vue'
import type { ImportResponse, ImportRow, ImportRowState } from '~~/shared/spec-book'
import { LOCALE } from '../../language'
import { t, tell } from '../../words'
import TextField from '../forms/TextField.vue'

/** The rows of a file before anything is written, by what becomes of them. */
const props = defineProps<{ taken: ImportResponse; shown: ImportRowState; rows: ImportRow[]; busy: boolean }>()
defineEmits<{ open: [state: ImportRowState]; more: []; asPrinted: [row: ImportRow]; accept: []; cancel: [] }>()
const approveBecause = defineModel<string>('approveBecause', { required: true })
const writes = computed(() => props.taken.counts.new + props.taken.counts.changed)
const STATES: { state: ImportRowState; name: string; sign: string }[] = [
  { state: 'problem', name: t('page-spec-book-import.problem'), sign: '!' },
  { state: 'new', name: t('page-spec-book-import.new'), sign: '+' },
  { state: 'changed', name: t('page-spec-book-import.changed'), sign: '≠' },
  { state: 'same', name: t('page-spec-book-import.same'), sign: '=' },
]
const LOOKED_AT: Record<ImportRowState, string> = {
  problem: t('page-spec-book-import.column-and-problem'),
  changed: t('page-spec-book-import.what-changes'),
  new: t('page-spec-book-import.to-look-at'),
  same: t('page-spec-book-import.to-look-at'),
}
const rowOf = ({ context }: { context: { index: number } }) => ({ 'data-row': props.rows[context.index]?.rowNo })
</script>

<template>
  <section class="preview" :aria-label="t('page-spec-book-import.preview')">
    <Tabs :value="shown" @update:value="$emit('open', $event as ImportRowState)">
      <TabList>
        <Tab
          v-for="s in STATES"
          :key="s.state"
          :value="s.state"
          class="tab"
          :class="s.state"
          :data-count="taken.counts[s.state]"
        >
          <b>{{ taken.counts[s.state].toLocaleString(LOCALE) }}</b><span>{{ s.sign }} {{ s.name }}</span>
        </Tab>
      </TabList>
      <TabPanels>
        <TabPanel v-for="s in STATES" :key="s.state" :value="s.state">
          <template v-if="s.state === shown">
            <DataTable v-if="rows.length" class="few" :value="rows" data-key="rowNo" :pt="{ bodyRow: rowOf }">
              <Column field="rowNo" :header="t('page-spec-book-import.row-2')" body-class="figures" />
              <Column :header="t('common.model')" body-class="figures name">
                <template #body="{ data }: { data: ImportRow }">{{
                  data.title || t('page-spec-book-import.no-name')
                }}</template>
              </Column>
              <Column :header="LOOKED_AT[shown]">
                <template #body="{ data }: { data: ImportRow }"
                  ><p v-for="(n, i) in data.notes" :key="i" class="said">
                    <b>{{ n.column }}</b> {{ tell(n.says) }}
                  </p>
                  <p v-for="c in shown === 'changed' ? data.changes : []" :key="JSON.stringify(c)" class="said">
                    {{ tell(c) }}
                  </p></template
                >
              </Column>
              <Column v-if="shown === 'problem'">
                <template #header
                  ><span class="hidden-words">{{ t('page-spec-book-import.answer') }}</span></template
                >
                <template #body="{ data }: { data: ImportRow }">
                  <Button
                    v-if="data.notes.every(n => n.doubt)"
                    severity="secondary"
                    outlined
                    @click="$emit('asPrinted', data)"
                  >
                    {{ t('common.its-printed-that-way') }}
                  </Button>
                </template>
              </Column>
            </DataTable>
            <p v-else class="note">{{ t('common.none') }}</p>
          </template>
        </TabPanel>
      </TabPanels>
    </Tabs>
    <Button
      v-if="rows.length > 0 && rows.length < taken.counts[shown] && rows.length % 100 === 0"
      severity="secondary"
      outlined
      @click="$emit('more')"
    >
      {{ t('page-spec-book-import.show-more') }}
    </Button>
    <div v-if="taken.mayApproveOwn && writes" class="grid">
      <TextField
        v-model="approveBecause"
        :label="t('common.why-you-approve-your-own-entry')"
        :note="t('page-spec-book-import.you-are-the-only-lead')"
      />
    </div>
    <p v-if="taken.counts.problem" class="note">
      {{ t('page-spec-book-import.rows-with-a-problem-are') }}
    </p>
    <div class="actions">
      <Button
        :label="
          writes === 0
            ? t('page-spec-book-import.nothing-to-write')
            : t('page-spec-book-import.write', {
                writes,
                shown: writes.toLocaleString(LOCALE),
              })
        "
        :disabled="writes === 0"
        :loading="busy"
        @click="$emit('accept')"
      /><Button severity="secondary" outlined @click="$emit('cancel')">{{ t('common.cancel') }}</Button>
    </div>
  </section>
</template>

<style scoped>
.preview {
  display: grid;
  gap: 14px;
}
td .p-button {
  white-space: nowrap;
}
.tab {
  display: grid;
  gap: 2px;
  text-align: left;
  min-height: 64px;
}
.tab b {
  font: 600 26px/1 var(--figures);
}
.tab.problem:not([data-count='0']) {
  color: var(--tight);
}
:deep(.name) {
  min-width: 150px;
  overflow-wrap: anywhere;
}
.said {
  font-size: 16px;
  line-height: 1.35;
  overflow-wrap: anywhere;
}
.said b {
  font-family: var(--figures);
}
</style>
