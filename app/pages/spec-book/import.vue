<script setup lang="ts">
import { LOCALE } from '~~/core/units'
import { useHead } from '#imports'
import { NuxtLink } from '#components'
import Button from 'primevue/button'
import ProgressBar from 'primevue/progressbar'
import Select from 'primevue/select'
import { useIntervalFn } from '@vueuse/core'
import { computed, ref } from 'vue'
import { COLUMNS, headingOf } from '~~/core/exchange'
import type { Delimiter, ImportResponse, ImportRow, ImportRowState } from '~~/shared/spec-book'
import ChoiceField from '../../components/forms/ChoiceField.vue'
import TextField from '../../components/forms/TextField.vue'
import { useForm } from '../../composables/useForm'
import { api } from '../../utils/api'
import { upload } from '../../utils/upload'

useHead({ title: 'Import, Wembric' })
const form = useForm()
const taken = ref<ImportResponse | null>(null)
const sent = ref<number | null>(null)
let abort: AbortController | null = null
const LEFT_OUT = '–'
const LEAVE = { value: LEFT_OUT, label: 'leave it out' }
const columns = [LEAVE, ...COLUMNS.map(c => ({ value: c as string, label: headingOf(c).replaceAll('_', ' ') }))]
const mapping = ref<string[]>([])
const delimiter = ref<Delimiter | null>(',')
const DELIMITERS = [
  { value: ',', label: 'comma' },
  { value: ';', label: 'semicolon' },
  { value: '\t', label: 'tab' },
  { value: '|', label: 'bar' },
]
const at = () => ({ id: taken.value!.id })

function show(answer: ImportResponse | null, withMapping = false): void {
  if (!answer) return
  taken.value = answer
  if (!withMapping) return
  mapping.value = answer.settings.mapping.map(c => c ?? LEFT_OUT)
  delimiter.value = answer.settings.delimiter as Delimiter
}
async function choose(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (!file) return
  taken.value = null
  abort = new AbortController()
  sent.value = 0
  const made = await form.send(() =>
    upload<{ id: number }>(
      `/api/spec-imports?name=${encodeURIComponent(file.name.slice(-120))}`,
      file,
      part => {
        sent.value = part
      },
      abort!.signal,
    ),
  )
  sent.value = null
  input.value = ''
  if (!made) return
  show(await form.send(() => api('GET /api/spec-imports/:id', { id: made.id })), true)
  if (file.name.toLowerCase().endsWith('.json') && !form.failed.value) await read()
}
const respelt = async () =>
  show(
    await form.send(() =>
      api('POST /api/spec-imports/:id/delimiter', { ...at(), body: { delimiter: delimiter.value } }),
    ),
    true,
  )
async function read(): Promise<void> {
  rows.value = []
  show(
    await form.send(() =>
      api('POST /api/spec-imports/:id/read', {
        ...at(),
        body: {
          delimiter: delimiter.value ?? ',',
          mapping: mapping.value.map(c => (c === LEFT_OUT ? null : c)),
        },
      }),
    ),
  )
}
const busy = computed(() => taken.value?.state === 'reading' || taken.value?.state === 'writing')
useIntervalFn(async () => {
  if (!busy.value) return
  const before = taken.value!.state
  show(await api('GET /api/spec-imports/:id', at()).catch(() => taken.value))
  if (before === 'reading' && taken.value?.state === 'preview')
    await open(taken.value.counts.problem ? 'problem' : taken.value.counts.changed ? 'changed' : 'new')
}, 400)

const STATES: { state: ImportRowState; name: string; sign: string }[] = [
  { state: 'problem', name: 'with a problem', sign: '!' },
  { state: 'new', name: 'new', sign: '+' },
  { state: 'changed', name: 'changed', sign: '≠' },
  { state: 'same', name: 'the same', sign: '=' },
]
const shown = ref<ImportRowState>('problem')
const rows = ref<ImportRow[]>([])
async function open(state: ImportRowState): Promise<void> {
  shown.value = state
  rows.value = (await form.send(() => api('GET /api/spec-imports/:id/rows', { ...at(), query: { state } }))) ?? []
}
async function more(): Promise<void> {
  rows.value = [
    ...rows.value,
    ...((await form.send(() =>
      api('GET /api/spec-imports/:id/rows', {
        ...at(),
        query: { state: shown.value, after: rows.value.at(-1)!.rowNo },
      }),
    )) ?? []),
  ]
}
async function asPrinted(row: ImportRow): Promise<void> {
  if (!(await form.send(() => api('POST /api/spec-imports/:id/answer', { ...at(), body: { rowNo: row.rowNo } }))))
    return
  show(await form.send(() => api('GET /api/spec-imports/:id', at())))
  rows.value = rows.value.filter(r => r.rowNo !== row.rowNo)
}
const approveBecause = ref('')
const writes = computed(() => (taken.value?.counts.new ?? 0) + (taken.value?.counts.changed ?? 0))
const accept = async () =>
  show(
    await form.send(() =>
      api('POST /api/spec-imports/:id/accept', { ...at(), body: { approveBecause: approveBecause.value } }),
    ),
  )
const cancel = async () => {
  abort?.abort()
  if (taken.value) show(await form.send(() => api('POST /api/spec-imports/:id/cancel', at())))
}
const percent = computed(() =>
  !taken.value
    ? 0
    : taken.value.state === 'writing'
      ? Math.round((taken.value.progress / Math.max(1, taken.value.total)) * 100)
      : taken.value.progress,
)
const again = () => {
  taken.value = null
}
</script>

<template>
  <main class="form import">
    <h1>Import models from a file</h1>
    <p class="lead">
      CSV in UTF-8 with a heading row, or JSON from an export. You first see what each row would do; nothing is saved
      until you accept, and then all of it at once.
    </p>
    <div v-if="!taken && sent === null" class="choose">
      <label for="file">File</label
      ><input id="file" type="file" accept=".csv,.tsv,.txt,.json,text/csv,application/json" @change="choose" />
      <p class="note">
        No file yet? <a href="/api/spec-export?format=csv" download>Save this book as CSV</a> and see how its columns
        look.
      </p>
    </div>
    <div v-if="sent !== null" class="running" role="status">
      <p>Sending the file …</p>
      <ProgressBar :value="Math.round(sent * 100)" /><button type="button" class="quiet" @click="cancel">Cancel</button>
    </div>
    <p v-if="form.failed.value" class="wrong" role="alert">{{ form.failed.value }}</p>

    <template v-if="taken">
      <p class="file">
        <b>{{ taken.fileName }}</b><span
          >{{ (taken.bytes / 1024).toLocaleString(LOCALE, { maximumFractionDigits: 1 }) }} KB</span
        ><button v-if="!busy" type="button" class="quiet" @click="again">Another file</button>
      </p>
      <section v-if="taken.state === 'uploaded' && taken.format === 'csv'" class="mapping" aria-label="Columns">
        <h2>What each column holds</h2>
        <div class="grid">
          <ChoiceField v-model="delimiter" label="Separator" :options="DELIMITERS" @update:model-value="respelt" />
        </div>
        <div class="scroll">
          <table class="rows">
            <thead>
              <tr>
                <th>Heading in the file</th>
                <th>is</th>
                <th v-for="(_, i) in taken.settings.first" :key="i">Row {{ i + 2 }}</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="(h, i) in taken.settings.headings" :key="i" :class="{ left: mapping[i] === LEFT_OUT }">
                <td class="figures">{{ h || '(empty)' }}</td>
                <td>
                  <Select
                    v-model="mapping[i]"
                    :options="columns"
                    option-label="label"
                    option-value="value"
                    filter
                    :aria-label="`${h} is`"
                  />
                </td>
                <td v-for="(row, n) in taken.settings.first" :key="n" class="cell">{{ row[i] }}</td>
              </tr>
            </tbody>
          </table>
        </div>
        <p class="note">
          {{
            mapping.every(m => m !== LEFT_OUT)
              ? 'Every column is assigned.'
              : `${mapping.filter(m => m === LEFT_OUT).length} left out.`
          }}
          What you choose is remembered for the next file.
        </p>
        <div class="actions"><Button label="Check the rows" @click="read" /></div>
      </section>
      <div v-if="busy" class="running" role="status">
        <p>
          {{
            taken.state === 'reading'
              ? 'Looking at each row …'
              : `Writing ${taken.progress.toLocaleString(LOCALE)} of ${taken.total.toLocaleString(LOCALE)} …`
          }}
        </p>
        <ProgressBar :value="percent" /><button type="button" class="quiet" @click="cancel">Cancel</button>
      </div>
      <section v-if="taken.state === 'preview'" class="preview" aria-label="Preview">
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
            @click="open(s.state)"
          >
            <b>{{ taken.counts[s.state].toLocaleString(LOCALE) }}</b><span>{{ s.sign }} {{ s.name }}</span>
          </button>
        </div>
        <table v-if="rows.length" class="rows">
          <thead>
            <tr>
              <th>Row</th>
              <th>Model</th>
              <th>
                {{ shown === 'problem' ? 'Column and problem' : shown === 'changed' ? 'What changes' : 'To look at' }}
              </th>
              <th><span class="hidden-words">Answer</span></th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="r in rows" :key="r.rowNo" :data-row="r.rowNo">
              <td class="figures">{{ r.rowNo }}</td>
              <td class="figures name">{{ r.title }}</td>
              <td>
                <p v-for="(n, i) in r.notes" :key="i" class="said">
                  <b>{{ n.column }}</b> {{ n.says }}
                </p>
                <p v-for="c in shown === 'changed' ? r.changes : []" :key="c" class="said">{{ c }}</p>
              </td>
              <td>
                <button
                  v-if="shown === 'problem' && r.notes.every(n => n.doubt)"
                  type="button"
                  class="quiet"
                  @click="asPrinted(r)"
                >
                  It’s printed that way
                </button>
              </td>
            </tr>
          </tbody>
        </table>
        <p v-else class="note">None.</p>
        <button
          v-if="rows.length > 0 && rows.length < taken.counts[shown] && rows.length % 100 === 0"
          type="button"
          class="quiet"
          @click="more"
        >
          Show more
        </button>
        <div v-if="taken.mayApproveOwn && writes" class="grid">
          <TextField
            v-model="approveBecause"
            label="Why you approve your own entry"
            note="You are the only lead. Empty: they are drafts."
          />
        </div>
        <p v-if="taken.counts.problem" class="note">
          Rows with a problem are left out. Correct them in the file and import it again: the others will then be “the
          same”.
        </p>
        <div class="actions">
          <Button
            :label="
              writes === 0
                ? 'Nothing to write'
                : `Write ${writes.toLocaleString(LOCALE)} ${writes === 1 ? 'model' : 'models'}`
            "
            :disabled="writes === 0"
            :loading="form.busy.value"
            @click="accept"
          /><button type="button" class="quiet" @click="cancel">Cancel</button>
        </div>
      </section>
      <p v-if="taken.state === 'done'" class="done" role="status">
        <b>✓ Saved.</b> {{ taken.message }} <NuxtLink to="/spec-book">To the book</NuxtLink>
      </p>
      <p v-if="taken.state === 'cancelled'" class="done" role="status"><b>Cancelled.</b> Nothing was saved.</p>
      <p v-if="taken.state === 'failed'" class="wrong" role="alert">{{ taken.message || 'It could not be read.' }}</p>
    </template>
  </main>
</template>

<style scoped>
.import {
  max-width: 1240px;
}
.choose,
.running {
  display: grid;
  gap: 10px;
  justify-items: start;
}
.choose label {
  font-size: 17px;
}
.choose input {
  font-size: 17px;
  min-height: 56px;
  padding: 14px;
  border: 2px dashed var(--edge);
  border-radius: 8px;
  width: min(100%, 560px);
  background: var(--white);
}
.running > :nth-child(2) {
  width: min(100%, 560px);
}
.file {
  display: flex;
  gap: 14px;
  align-items: center;
  font: 500 18px/1.2 var(--figures);
}
.scroll {
  overflow-x: auto;
}
.mapping,
.preview {
  display: grid;
  gap: 14px;
}
td .quiet {
  white-space: nowrap;
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
.done {
  font-size: 19px;
}
@media (max-width: 700px) {
  .tabs {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
