import 'fake-indexeddb/auto'
import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import type { BayCard, BayResponse } from '~~/shared/board'
import { fine, newDevice, refused, sessionOf, shopAnswers, within } from '~~/tests/support/screens'
import { useSessionStore } from '../stores/session'
import { useBoard } from './useBoard'

const card = (jobId: number, more: Partial<BayCard> = {}): BayCard =>
  ({ jobId, column: 'ready', assigned: null, turn: { n: 1, startMs: 0, why: '' }, cooling: null, ...more }) as BayCard
const board = (cards: BayCard[], now = new Date()): BayResponse => ({
  today: 'Saturday',
  room: null,
  backup: null,
  unkept: [],
  cards,
  crew: [{ id: 1, name: 'Ada' }],
  now: now.toISOString(),
})

beforeEach(() => {
  newDevice()
  vi.stubGlobal(
    'EventSource',
    class {
      addEventListener() {}
      close() {}
    },
  )
  useSessionStore().begin(sessionOf())
})
afterEach(() => vi.unstubAllGlobals())

it('a card is where it was dropped at once; where the shop refuses, it is back, and the reason stays', async () => {
  let cards = [card(1), card(2), card(3)]
  let letGo = (): void => {}
  shopAnswers(async ({ line }) => {
    if (line.startsWith('PUT')) {
      await new Promise<void>(resolve => (letGo = resolve))
      return refused('Job 3 is closed.', 409)
    }
    return line.includes('/bay') ? fine(board(cards)) : fine({ machines: [] })
  })
  const { it: shown, end } = within(() => useBoard())
  await flushPromises()
  const moved = shown.place(3, 1, 1)
  await flushPromises()
  expect(shown.bay.value!.cards.map(c => c.jobId)).toEqual([3, 1, 2])
  expect(shown.bay.value!.cards[0]).toMatchObject({ assigned: { name: 'Ada' }, turn: null })
  cards = [card(1), card(2), card(3, { column: 'done' })]
  letGo()
  await moved
  expect(shown.bay.value!.cards.map(c => c.jobId)).toEqual([1, 2, 3])
  expect(shown.failed.value).toBe('Job 3 is closed.')
  end()
})

it('without an answer the board that was fetched stays, and the page says that it is offline', async () => {
  let answers = true
  shopAnswers(({ line }) =>
    !answers ? 'no answer' : line.includes('/bay') ? fine(board([card(1)])) : fine({ machines: [] }),
  )
  const { it: shown, end } = within(() => useBoard())
  await flushPromises()
  answers = false
  await shown.load()
  expect(useSessionStore().offline).toBe(true)
  expect(shown.bay.value!.cards).toHaveLength(1)
  expect(shown.failed.value).not.toBe('')
  answers = true
  await shown.load()
  expect([useSessionStore().offline, shown.failed.value]).toEqual([false, ''])
  end()
})
