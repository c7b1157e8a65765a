import { flushPromises, mount } from '@vue/test-utils'
import PrimeVue from 'primevue/config'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { CustomerRow } from '~~/shared/customers'
import type { ReminderResponse } from '~~/shared/machines'
import { fine, newDevice, refused, shopAnswers, within } from '~~/tests/support/screens'
import ReminderPanel from '../components/machine/ReminderPanel.vue'
import { useReminder } from './useReminder'

const OWNER: CustomerRow = {
  ...{ id: 4, name: 'O. Brackwell', contact: 'by the gate', email: 'old@example.org', language: 'es', machines: 2 },
}
const DRAFT = {
  subject: 'Due',
  text: 'Two are due.',
  email: OWNER.email,
  machineIds: [7, 9],
} as unknown as ReminderResponse

beforeEach(() => newDevice())
afterEach(() => vi.unstubAllGlobals())

describe('the letter to an owner', () => {
  it('is sent once, however often the button is tapped; another letter is sent again', async () => {
    const sent: unknown[] = []
    shopAnswers(({ line, body }) => {
      if (line === 'POST /api/reminders') sent.push((body as { text: string }).text)
      return fine(line.includes('/reminder?') ? DRAFT : line.startsWith('GET') ? [OWNER] : { file: 'one.eml' })
    })
    const page = mount(ReminderPanel, { props: { customerId: 4, weeks: 6 }, global: { plugins: [PrimeVue] } })
    await flushPromises()
    const send = () => page.findAll('button').find(b => b.text() === 'Send')!
    for (let tap = 0; tap < 3; tap++) void send().trigger('click')
    await flushPromises()
    await send().trigger('click')
    await flushPromises()
    expect(sent).toEqual([DRAFT.text])
    await page.find('textarea').setValue('Three are due.')
    await send().trigger('click')
    await flushPromises()
    expect(sent).toEqual([DRAFT.text, 'Three are due.'])
    page.unmount()
  })
  it('an address that is put right leaves what else is known of them: their language too', async () => {
    const sent: unknown[] = []
    shopAnswers(({ line, body }) => {
      if (line.startsWith('PUT')) sent.push(body)
      return fine(line.includes('/reminder') ? DRAFT : line.startsWith('GET /api/customers') ? [OWNER] : {})
    })
    const { it: given, end } = within(() => useReminder({ customerId: 4, weeks: 6 }))
    await flushPromises()
    given.email.value = 'new@example.org'
    expect(await given.saveEmail()).toBe(true)
    const { id: _, machines: __, ...known } = OWNER
    expect(sent).toEqual([{ ...known, email: 'new@example.org', was: known }])
    end()
  })
  it('an address that another put right meanwhile is not set back unseen: one tap asks, two mean it', async () => {
    const puts: { email: string; was: { email: string } }[] = []
    const now = { ...OWNER, email: 'other@example.org' }
    shopAnswers(({ line, body }) => {
      if (line.startsWith('PUT')) {
        puts.push(body as (typeof puts)[number])
        if (puts.length === 1) return refused('Somebody changed the same thing.', 409, { code: 'changed-meanwhile' })
      }
      return fine(line.includes('/reminder') ? DRAFT : line.startsWith('PUT') ? body : [now])
    })
    const { it: given, end } = within(() => useReminder({ customerId: 4, weeks: 6 }))
    await flushPromises()
    given.email.value = 'new@example.org'
    expect(await given.saveEmail()).toBe(false)
    expect(given.form.failed.value).toContain('changed the same thing')
    expect(given.email.value).toBe('new@example.org')
    expect(await given.saveEmail()).toBe(true)
    expect(puts.map(p => p.was.email)).toEqual([OWNER.email, now.email])
    // one’s own change is nobody else’s
    given.email.value = 'newer@example.org'
    expect(await given.saveEmail()).toBe(true)
    expect(puts.at(-1)).toMatchObject({ email: 'newer@example.org', was: { email: 'new@example.org' } })
    end()
  })
  it('an address that stays is not sent; one that is refused says why, and the letter stays', async () => {
    const sent: string[] = []
    shopAnswers(({ line }) => {
      sent.push(line)
      if (line.startsWith('PUT')) return refused('Give the e-mail address.', 422)
      return fine(line.includes('/reminder') ? DRAFT : [OWNER])
    })
    const { it: given, end } = within(() => useReminder({ customerId: 4, weeks: 6 }))
    await flushPromises()
    expect(await given.saveEmail()).toBe(true)
    expect(sent.filter(line => line.startsWith('PUT'))).toEqual([])
    given.email.value = 'nowhere'
    expect(await given.saveEmail()).toBe(false)
    expect([given.form.failed.value, given.text.value]).toEqual(['Give the e-mail address.', DRAFT.text])
    end()
  })
})
