import { mount } from '@vue/test-utils'
import PrimeVue from 'primevue/config'
import { describe, expect, it } from 'vitest'
import { reactive } from 'vue'
import { say } from '~~/core/said'
import type { ImportResponse, ImportRow } from '~~/shared/spec-book'
import { LEFT_OUT } from '../../composables/useSpecImport'
import ImportColumns from './ImportColumns.vue'
import ImportPreview from './ImportPreview.vue'

const plugins = { global: { plugins: [PrimeVue] } }
const settings: ImportResponse['settings'] = {
  delimiter: ';',
  headings: ['Maker', 'Motor', ''],
  first: [['Brindle', 'T 40', 'x']],
} as unknown as ImportResponse['settings']
const taken = (counts: Partial<ImportResponse['counts']>, changes: Partial<ImportResponse> = {}): ImportResponse => ({
  id: 1,
  fileName: 'book.csv',
  format: 'csv',
  bytes: 100,
  state: 'checked' as ImportResponse['state'],
  settings,
  progress: 3,
  total: 3,
  message: '',
  counts: { problem: 0, new: 0, changed: 0, same: 0, ...counts },
  mayApproveOwn: false,
  ...changes,
})
const row = (rowNo: number, changes: Partial<ImportRow> = {}): ImportRow => ({
  rowNo,
  state: 'problem',
  title: 'Brindle T 40',
  modelId: null,
  notes: [],
  changes: [],
  ...changes,
})
const note = (column: string, doubt: boolean) =>
  ({
    column,
    says: say('wrong.choose-the-machine'),
    ...(doubt ? { doubt: 'd1' } : {}),
  }) as unknown as ImportRow['notes'][number]

describe('the columns of a file', () => {
  const page = (mapping: string[], parted = true) =>
    mount(ImportColumns, { props: { settings, parted, mapping, delimiter: ';' }, ...plugins })
  it('are shown with their heading and their first cells; one without a heading is said to be empty', () => {
    const shown = page([LEFT_OUT, LEFT_OUT, LEFT_OUT])
    const rows = shown.findAll('tbody tr').map(r => r.findAll('td').map(c => c.text()))
    expect(rows.map(r => [r[0], r.at(-1)])).toEqual([
      ['Maker', 'Brindle'],
      ['Motor', 'T 40'],
      [expect.stringMatching(/empty/i), 'x'],
    ])
  })
  it('that are left out are counted, and stand back', () => {
    const shown = page(['maker', LEFT_OUT, LEFT_OUT])
    expect(shown.findAll('tbody tr').map(r => r.classes().includes('left'))).toEqual([false, true, true])
    expect(shown.find('.note').text()).toMatch(/2 /)
    expect(page(['maker', 'model', 'code']).find('.note').text()).not.toMatch(/left out/i)
  })
  it('of a workbook have no separator to be chosen', () => {
    expect(page([LEFT_OUT, LEFT_OUT, LEFT_OUT]).find('.grid').exists()).toBe(true)
    expect(page([LEFT_OUT, LEFT_OUT, LEFT_OUT], false).find('.grid').exists()).toBe(false)
  })
  it('are read when asked for, as they were chosen', async () => {
    const mapping = reactive(['maker', LEFT_OUT, LEFT_OUT])
    const shown = page(mapping)
    shown.findAllComponents({ name: 'Select' }).at(-2)!.vm.$emit('update:modelValue', 'model')
    expect(mapping).toEqual(['maker', 'model', LEFT_OUT])
    await shown.find('.actions button').trigger('click')
    expect(shown.emitted('read')).toHaveLength(1)
  })
})

describe('the rows of a file before they are written', () => {
  const page = (given: ImportResponse, rows: ImportRow[], shown: ImportRow['state'] = 'problem') =>
    mount(ImportPreview, { props: { taken: given, shown, rows, busy: false, approveBecause: '' }, ...plugins })
  const write = (shown: ReturnType<typeof page>) => shown.find('.actions button')
  it('only new and changed ones are written, and the button says how many', () => {
    expect(write(page(taken({ new: 1200, changed: 34, same: 5, problem: 2 }), [])).text()).toContain('1,234')
  })
  it('nothing is written where nothing would change', () => {
    const shown = page(taken({ same: 5, problem: 2 }), [row(2)])
    expect(write(shown).attributes('disabled')).toBeDefined()
  })
  it('one that is only in doubt may be as printed; one that is wrong may not', async () => {
    const rows = [
      row(2, { notes: [note('exhaust', true)] }),
      row(3, { notes: [note('exhaust', true), note('maker', false)] }),
    ]
    const shown = page(taken({ problem: 2 }), rows)
    const [doubtful, wrong] = shown.findAll('tbody tr')
    expect(wrong!.find('button').exists()).toBe(false)
    await doubtful!.find('button').trigger('click')
    expect(shown.emitted('asPrinted')).toEqual([[rows[0]]])
    expect(doubtful!.attributes('data-row')).toBe('2')
  })
  it('one without a name is called so, and its problem names the column', () => {
    const shown = page(taken({ problem: 1 }), [row(4, { title: '', notes: [note('maker', false)] })])
    const cells = shown.findAll('tbody td').map(c => c.text())
    expect(cells[1]).toMatch(/no name/i)
    expect(cells[2]).toMatch(/^maker Choose the machine/)
  })
  it('the rest of a long list is fetched when asked for, and only where there is more', async () => {
    const hundred = Array.from({ length: 100 }, (_, i) => row(i + 2))
    const long = page(taken({ problem: 240 }), hundred)
    const more = long.findAll('button').find(b => /show more/i.test(b.text()))!
    await more.trigger('click')
    expect(long.emitted('more')).toHaveLength(1)
    await long.setProps({ taken: taken({ problem: 100 }) })
    expect(long.text()).not.toMatch(/show more/i)
  })
  it('whoever is the only lead says why, where anything is written', () => {
    const may = { mayApproveOwn: true }
    expect(
      page(taken({ new: 2 }, may), [])
        .find('input')
        .exists(),
    ).toBe(true)
    expect(
      page(taken({ same: 2 }, may), [])
        .find('input')
        .exists(),
    ).toBe(false)
  })
})
