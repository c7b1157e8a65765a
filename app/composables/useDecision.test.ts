import 'fake-indexeddb/auto'
import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { ref } from 'vue'
import type { ModelResponse, RevisionRow } from '~~/shared/spec-book'
import { fine, newDevice, refused, sessionOf, shopAnswers, within } from '~~/tests/support/screens'
import { useSessionStore } from '../stores/session'
import { useDecision } from './useDecision'
import { useReminder } from './useReminder'

const draft = (more: Partial<RevisionRow> = {}): RevisionRow =>
  ({ id: 5, authorId: 2, approvedAt: null, sentBackAt: null, ...more }) as RevisionRow
const of = (after: RevisionRow, mayApproveOwn = false) => ({ model: { mayApproveOwn } as ModelResponse, after })

beforeEach(newDevice)
afterEach(() => vi.unstubAllGlobals())

describe('what a lead decides on a draft', () => {
  it('another’s is approved at once; sending it back asks for the reason first', async () => {
    useSessionStore().begin(sessionOf())
    const asked = shopAnswers(() => fine({ id: 5 }))
    const decided = vi.fn()
    const decision = useDecision(() => of(draft()), decided)
    expect(decision.mayApprove.value).toBe(true)
    await decision.sendBack()
    expect([decision.asking.value, asked.length]).toEqual(['back', 0])
    decision.reason.value = 'Page 12 says 0.15'
    await decision.sendBack()
    expect(asked).toEqual([{ line: 'POST /api/revisions/5/send-back', body: { reason: 'Page 12 says 0.15' } }])
    expect([decided.mock.calls.length, decision.asking.value, decision.reason.value]).toEqual([1, null, ''])
    await decision.approve()
    expect(asked.at(-1)!.line).toBe('POST /api/revisions/5/approve')
  })
  it('one’s own wants a reason, and only where the shop allows it', async () => {
    useSessionStore().begin(sessionOf({ id: 2 }))
    const asked = shopAnswers(() => fine({ id: 5 }))
    expect(useDecision(() => of(draft()), vi.fn()).mayApprove.value).toBe(false)
    const decision = useDecision(() => of(draft(), true), vi.fn())
    expect(decision.mayApprove.value).toBe(true)
    await decision.approve()
    expect([decision.asking.value, asked.length]).toEqual(['approve', 0])
    decision.reason.value = 'I am the only lead'
    await decision.approve()
    expect(asked).toHaveLength(1)
  })
  it('a mechanic decides nothing, and nobody decides twice', () => {
    useSessionStore().begin(sessionOf({ role: 'mechanic' }))
    expect(useDecision(() => of(draft()), vi.fn()).mayApprove.value).toBe(false)
    useSessionStore().begin(sessionOf())
    for (const ended of [{ approvedAt: '2026-01-02' }, { sentBackAt: '2026-01-02' }])
      expect(useDecision(() => of(draft(ended as Partial<RevisionRow>)), vi.fn()).open.value).toBeNull()
  })
  it('two taps in a hurry approve it once, and nothing is said to be wrong', async () => {
    useSessionStore().begin(sessionOf())
    const asked = shopAnswers(() => fine({ id: 5 }))
    const decision = useDecision(() => of(draft()), vi.fn())
    await Promise.all([decision.approve(), decision.approve()])
    expect([asked.length, decision.form.failed.value]).toEqual([1, ''])
  })
  it('a refusal is said, and the reason that was typed stays', async () => {
    useSessionStore().begin(sessionOf())
    shopAnswers(() => refused('Somebody has approved it already.', 409))
    const decided = vi.fn()
    const decision = useDecision(() => of(draft()), decided)
    await decision.sendBack()
    decision.reason.value = 'Wrong page'
    await decision.sendBack()
    expect([decision.form.failed.value, decision.reason.value]).toEqual([
      'Somebody has approved it already.',
      'Wrong page',
    ])
    expect(decided).not.toHaveBeenCalled()
  })
})

describe('the letter to an owner', () => {
  const letter = { subject: 'Due', text: 'Your two machines are due.', email: 'a@b.example', machineIds: [3, 4] }
  it('is what the shop drafted, as it was changed, for all of the machines', async () => {
    const asked = shopAnswers(({ line }) => fine(line.includes('/reminder?') ? letter : {}))
    const { it: page, end } = within(() => useReminder({ customerId: 9, weeks: 6 }))
    await flushPromises()
    expect(page.text.value).toBe(letter.text)
    page.text.value = 'Come by.'
    await page.tell('copied')
    expect(asked.at(-1)).toEqual({
      line: 'POST /api/reminders',
      body: { customerId: 9, machineIds: [3, 4], how: 'copied', text: 'Come by.', subject: 'Due' },
    })
    end()
  })
  it('an address that was changed is kept with the owner, whose name and phone stay', async () => {
    const owner = ref({ id: 9, name: 'A. Owner', contact: '555-0100', email: 'a@b.example' })
    const asked = shopAnswers(({ line }) =>
      fine(line.includes('/reminder?') ? letter : line === 'GET /api/customers' ? [owner.value] : {}),
    )
    const { it: page, end } = within(() => useReminder({ customerId: 9, weeks: 6 }))
    await flushPromises()
    expect(await page.saveEmail()).toBe(true)
    expect(asked).toHaveLength(1)
    page.email.value = 'new@b.example'
    expect(await page.saveEmail()).toBe(true)
    expect(asked.at(-1)).toMatchObject({
      line: 'PUT /api/customers/9',
      body: { name: 'A. Owner', contact: '555-0100', email: 'new@b.example' },
    })
    end()
  })
})
