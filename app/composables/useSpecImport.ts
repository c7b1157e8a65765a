import { useIntervalFn } from '@vueuse/core'
import { computed, ref, shallowRef } from 'vue'
import type { Delimiter, ImportResponse, ImportRow, ImportRowState } from '~~/shared/spec-book'
import { api } from '../utils/api'
import { upload } from '../utils/upload'
import { useForm } from './useForm'

/** How often a file that is being read or written is looked at, ms. */
const LOOK_EVERY_MS = 400
/** A column that is left out. */
export const LEFT_OUT = '–'

/** A file of models on its way into the spec book: sent, its columns told, its rows looked at, written. */
export function useSpecImport() {
  const form = useForm()
  const taken = ref<ImportResponse | null>(null)
  const sent = ref<number | null>(null)
  let abort: AbortController | null = null
  const mapping = ref<string[]>([])
  const delimiter = ref<Delimiter | null>(',')
  const at = () => ({ id: taken.value!.id })

  function show(answer: ImportResponse | null, withMapping = false): void {
    if (!answer) return
    taken.value = answer
    if (!withMapping) return
    mapping.value = answer.settings.mapping.map(c => c ?? LEFT_OUT)
    delimiter.value = answer.settings.delimiter as Delimiter
  }
  async function choose(file: File): Promise<void> {
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
  }, LOOK_EVERY_MS)

  const shown = ref<ImportRowState>('problem')
  const rows = shallowRef<ImportRow[]>([])
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

  return {
    form,
    taken,
    sent,
    mapping,
    delimiter,
    choose,
    respelt,
    read,
    busy,
    shown,
    rows,
    open,
    more,
    asPrinted,
    approveBecause,
    accept,
    cancel,
    percent,
    again,
  }
}
