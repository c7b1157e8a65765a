import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import type { ImportResponse, ImportRow } from '~~/shared/spec-book'
import { fine, refused, shopAnswers, within } from '~~/tests/support/screens'
import { LEFT_OUT, useSpecImport } from './useSpecImport'

const taken = (state: ImportResponse['state'], more: Partial<ImportResponse> = {}): ImportResponse =>
  ({
    id: 7,
    state,
    progress: 0,
    total: 200,
    counts: { problem: 0, changed: 0, new: 0, same: 0, written: 0 },
    settings: { mapping: ['maker', null, 'intake'], delimiter: ';' },
    ...more,
  }) as unknown as ImportResponse
const row = (rowNo: number): ImportRow => ({ rowNo }) as ImportRow

/** An upload that ends as told, part by part. */
class Upload {
  static status = 200
  upload = { onprogress: (_: object): void => {} }
  onload = (): void => {}
  onabort = (): void => {}
  status = Upload.status
  responseText = JSON.stringify(Upload.status < 400 ? { id: 7 } : { title: 'This file is over 20 MB.', status: 413 })
  open() {}
  setRequestHeader() {}
  abort() {
    this.onabort()
  }
  send() {
    queueMicrotask(() => {
      this.upload.onprogress({ lengthComputable: true, loaded: 1, total: 2 })
      this.onload()
    })
  }
}
const chosen = (name: string) => new File(['x'], name)

beforeEach(() => {
  Upload.status = 200
  vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval'] })
  vi.stubGlobal('XMLHttpRequest', Upload)
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

it('a file is sent, its columns are shown, and what was left out goes as nothing when it is read', async () => {
  const asked = shopAnswers(({ line }) => fine(taken(line.endsWith('/read') ? 'reading' : 'uploaded')))
  const { it: page, end } = within(useSpecImport)
  await page.choose(chosen('list.csv'))
  expect([page.mapping.value, page.delimiter.value]).toEqual([['maker', LEFT_OUT, 'intake'], ';'])
  page.mapping.value = ['maker', LEFT_OUT, LEFT_OUT]
  await page.read()
  expect(asked.at(-1)).toEqual({
    line: 'POST /api/spec-imports/7/read',
    body: { delimiter: ';', mapping: ['maker', null, null] },
  })
  expect(page.busy.value).toBe(true)
  end()
})

it('a file that is refused says why, and nothing is taken', async () => {
  Upload.status = 413
  shopAnswers(() => refused('no'))
  const { it: page, end } = within(useSpecImport)
  await page.choose(chosen('big.csv'))
  expect([page.form.failed.value, page.taken.value, page.sent.value]).toEqual(['This file is over 20 MB.', null, null])
  end()
})

it('a book’s own file has no columns to tell: it is read at once', async () => {
  const asked = shopAnswers(() => fine(taken('reading')))
  const { it: page, end } = within(useSpecImport)
  await page.choose(chosen('Book.JSON'))
  expect(asked.map(a => a.line)).toContain('POST /api/spec-imports/7/read')
  end()
})

it('looked at until it is read; then what wants a person comes first', async () => {
  let state = taken('reading', { progress: 40 })
  shopAnswers(({ line }) => (line.includes('/rows') ? fine([row(3), row(9)]) : fine(state)))
  const { it: page, end } = within(useSpecImport)
  await page.choose(chosen('list.csv'))
  expect(page.percent.value).toBe(40)
  state = taken('preview', { counts: { problem: 2, changed: 5, new: 1 } as never })
  vi.advanceTimersByTime(450)
  for (let i = 0; i < 5; i++) await flushPromises()
  expect([page.shown.value, page.rows.value.map(r => r.rowNo), page.busy.value]).toEqual(['problem', [3, 9], false])
  end()
})

it('a row that is as printed leaves the list; one whose answer is refused stays', async () => {
  let refusesIt = true
  shopAnswers(({ line }) => {
    if (line.includes('/rows')) return fine([row(3), row(9)])
    if (line.endsWith('/answer') && refusesIt) return refused('That import was cancelled.', 409)
    return fine(taken('preview'))
  })
  const { it: page, end } = within(useSpecImport)
  await page.choose(chosen('list.csv'))
  await page.open('problem')
  await page.asPrinted(row(3))
  expect([page.rows.value.length, page.form.failed.value]).toEqual([2, 'That import was cancelled.'])
  refusesIt = false
  await page.asPrinted(row(3))
  expect(page.rows.value.map(r => r.rowNo)).toEqual([9])
  end()
})

it('the next rows are asked for after the last that is shown', async () => {
  const asked = shopAnswers(({ line }) =>
    line.includes('/rows') ? fine(line.includes('after') ? [row(10)] : [row(3), row(9)]) : fine(taken('preview')),
  )
  const { it: page, end } = within(useSpecImport)
  await page.choose(chosen('list.csv'))
  await page.open('new')
  await page.more()
  expect(asked.at(-1)!.line).toBe('GET /api/spec-imports/7/rows?state=new&after=9')
  expect(page.rows.value.map(r => r.rowNo)).toEqual([3, 9, 10])
  end()
})

it('while it is written, the part is of what there is to write', async () => {
  shopAnswers(() => fine(taken('writing', { progress: 50 })))
  const { it: page, end } = within(useSpecImport)
  await page.choose(chosen('list.csv'))
  expect(page.percent.value).toBe(25)
  page.again()
  expect(page.percent.value).toBe(0)
  end()
})
