<script setup lang="ts">
import Button from 'primevue/button'
import { computed } from 'vue'
import type { ImportResponse, ImportRow, ImportRowState } from '~~/shared/spec-book'
import TextField from '../forms/TextField.vue'
import { LOCALE } from '../../language'
import { t, tell } from '../../words'

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
</script>

<template>
  <section class="preview" :aria-label="t('page-spec-book-import.preview')">
    <div class="tabs" role="tablist">
      <button
        v-for="s in STATES"
        :key="s.state"
        type="button"
        role="tab"
        class="tab"
        :class="s.state"
        :aria-selected="shown === s.state"
        :data-count="taken.counts[s.state]"
        @click="$emit('open', s.state)"
      >
        <b>{{ taken.counts[s.state].toLocaleString(LOCALE) }}</b><span>{{ s.sign }} {{ s.name }}</span>
      </button>
    </div>
    <table v-if="rows.length" class="rows">
      <thead>
        <tr>
          <th>{{ t('page-spec-book-import.row-2') }}</th>
          <th>{{ t('common.model') }}</th>
          <th>
            {{
              shown === 'problem'
                ? t('page-spec-book-import.column-and-problem')
                : shown === 'changed'
                  ? t('page-spec-book-import.what-changes')
                  : t('page-spec-book-import.to-look-at')
            }}
          </th>
          <th>
            <span class="hidden-words">{{ t('page-spec-book-import.answer') }}</span>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="r in rows" :key="r.rowNo" :data-row="r.rowNo">
          <td class="figures">{{ r.rowNo }}</td>
          <td class="figures name">{{ r.title || t('page-spec-book-import.no-name') }}</td>
          <td>
            <p v-for="(n, i) in r.notes" :key="i" class="said">
              <b>{{ n.column }}</b> {{ tell(n.says) }}
            </p>
            <p v-for="c in shown === 'changed' ? r.changes : []" :key="JSON.stringify(c)" class="said">
              {{ tell(c) }}
            </p>
          </td>
          <td>
            <Button
              v-if="shown === 'problem' && r.notes.every(n => n.doubt)"
              severity="secondary"
              outlined
              @click="$emit('asPrinted', r)"
            >
              {{ t('common.its-printed-that-way') }}
            </Button>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-else class="note">{{ t('common.none') }}</p>
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
.tabs {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 10px;
}
.tab {
  display: grid;
  gap: 2px;
  text-align: left;
  padding: 10px 14px;
  background: var(--white);
  border: 1px solid var(--ink);
  border-radius: 8px;
  cursor: pointer;
  font: 600 16px/1.2 var(--figures);
  min-height: 64px;
}
.tab b {
  font-size: 26px;
  line-height: 1;
}
.tab[aria-selected='true'] {
  box-shadow: inset 0 -5px 0 var(--petrol);
}
.tab.problem:not([data-count='0']) {
  border-width: 2px;
}
.name {
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
@media (max-width: 700px) {
  .tabs {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
