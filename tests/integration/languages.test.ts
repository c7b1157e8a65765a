import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { refreshed } from '../../server/services/machines/outlooks'
import type { CustomerRow } from '../../shared/customers'
import type { SheetResponse } from '../../shared/jobs'
import type { ReminderResponse } from '../../shared/machines'
import type { SessionResponse } from '../../shared/session'
import { pool } from '../support/database'
import { Client } from '../support/server'
import { newMachine, unique, visit } from '../support/shop-work'

const [ines, tam] = [new Client(), new Client()]
beforeAll(async () => {
  await ines.signIn('ines')
  await tam.signIn('tam')
})
afterAll(async () => {
  await refreshed()
  await pool.end()
})
const inSpanish = { 'accept-language': 'es-MX,es;q=0.9' }

describe('whoever asks is answered in their language', () => {
  it('a refusal of the server and one of a schema, by what the request accepts', async () => {
    const wanted = { name: '', meterUnit: 'h', tag: 'x', modelId: 1, customer: { name: 'A' } }
    const spanish = (await ines.call('POST', '/api/machines', wanted, inSpanish)).body
    const english = (await ines.call('POST', '/api/machines', wanted, { 'accept-language': 'de-DE' })).body
    expect([spanish.title, english.title]).toEqual(['Dé un nombre para la máquina.', 'Give a name for the machine.'])
    expect(spanish.fields![0]).toEqual({ field: 'name', message: spanish.title })
    const missing = (await ines.call('GET', '/api/machines/999999', undefined, inSpanish)).body
    expect(missing.title).toBe('En este taller no existe esa máquina.')
  })
  it('what the schema library would say by itself has our words', async () => {
    const { body } = await ines.post('/api/machines', { name: 5, meterUnit: 'h', tag: 'x', modelId: 'one' })
    for (const { field, message } of body.fields!) expect(message, field).not.toMatch(/expected|received|Invalid/i)
  })
})

describe('a language that was chosen', () => {
  it('goes with the person to another device, and is nobody else’s', async () => {
    expect((await tam.call('PUT', '/api/language', { language: 'es' })).status).toBe(200)
    const elsewhere = await new Client().signIn('tam')
    expect((await elsewhere.get<SessionResponse>('/api/session')).body.person.language).toBe('es')
    expect((await ines.get<SessionResponse>('/api/session')).body.person.language).toBeNull()
    await tam.call('PUT', '/api/language', { language: 'en' })
  })
  it('that is not there is refused with words', async () => {
    const { status, body } = await tam.call('PUT', '/api/language', { language: 'tlh' })
    expect([status, body.title]).toEqual([422, 'Choose one of the answers.'])
  })
})

describe('a calendar at a secret address', () => {
  it('speaks the language of whoever made it: the program that fetches it has none', async () => {
    await ines.call('PUT', '/api/language', { language: 'es' })
    const { path } = (await ines.post<{ path: string }>('/api/calendar-addresses')).body
    const text = (await new Client().text(path)).replaceAll('\r\n ', '')
    await ines.call('PUT', '/api/language', { language: 'en' })
    expect(text).toMatch(/SUMMARY:.*: revisión de válvulas/)
    const read = text.match(/^(SUMMARY|DESCRIPTION):.*$/gm)!.join('\n')
    expect(read).not.toMatch(/\b(tag|due|whichever|interval|valve)\b/)
  })
})

describe('an owner’s language', () => {
  it('is that of the letter and of the signed sheet, whoever writes them', async () => {
    const owner = (
      await ines.post<CustomerRow>('/api/customers', {
        name: `Marta ${unique()}`,
        email: 'd@taller.example',
        language: 'es',
      })
    ).body
    expect(owner.language).toBe('es')
    const machine = await newMachine(ines, undefined, { customer: { id: owner.id } })
    const job = await visit(ines, machine, 1000, 400, { intake: 0.1, exhaust: 0.12 })
    const { sheet } = (await ines.get<SheetResponse>(`/api/jobs/${job}/sheet`)).body
    expect([sheet.language, sheet.run]).toEqual(['es', 'Funcionó bien: sin ruido ni fuga'])
    await refreshed()
    const letter = (await ines.get<ReminderResponse>(`/api/customers/${owner.id}/reminder?weeks=60`)).body
    expect(letter.subject).toMatch(/^Toca revisión de válvulas/)
    expect(letter.text).toContain('Le toca')
    expect(letter.text).not.toMatch(/\b(Due|valve|your|the)\b/)
  })
  it('is the shop’s where nobody has said of whom, and a lead sets that', async () => {
    const machine = await newMachine(ines)
    await ines.call('PUT', '/api/shop', { language: 'es' })
    try {
      expect((await ines.get<SessionResponse>('/api/session')).body.shop.language).toBe('es')
      const job = await visit(ines, machine, 1000, 0, {})
      expect((await ines.get<SheetResponse>(`/api/jobs/${job}/sheet`)).body.sheet.language).toBe('es')
    } finally {
      await ines.call('PUT', '/api/shop', { language: null })
    }
    expect((await tam.call('PUT', '/api/shop', { language: 'es' })).status).toBe(403)
    expect((await ines.call('PUT', '/api/shop', { language: 'xx' })).status).toBe(422)
  })
  it('is the language of whoever signs where nobody has said', async () => {
    const machine = await newMachine(ines)
    const job = await visit(ines, machine, 1000, 0, {})
    expect((await ines.get<SheetResponse>(`/api/jobs/${job}/sheet`)).body.sheet.language).toBe('en')
  })
})
