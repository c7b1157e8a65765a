import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { type Act, PRACTICE_ENGINES } from '../../core/practice'
import type { PracticeResponse } from '../../shared/practice'
import { engineOf } from '../support/builders'
import { pool } from '../support/database'
import { playByBench } from '../support/practice-hand'
import { Client } from '../support/server'

const [tam, jory] = [new Client(), new Client()]
beforeAll(async () => {
  await tam.signIn('tam')
  await jory.signIn('jory')
})
afterAll(() => pool.end())

const kind = PRACTICE_ENGINES.find(k => k.id === 'twin-180')!
const played = (seed: number) => playByBench({ kind, level: 1, seed, guidance: 'on' }).acts
const runOf = (changes: Record<string, unknown> = {}) => ({
  engineId: kind.id,
  level: 1,
  seed: 21,
  guidance: 'on',
  seconds: 300,
  acts: played(21),
  ...changes,
})
type Handed = PracticeResponse & { marked: { score: number; marks: { words: string; grade: string }[] } }
const bestOf = async (person: string) =>
  (await tam.get<PracticeResponse>('/api/practice')).body.best.filter(
    b => b.engineId === kind.id && b.level === 1 && b.person === person,
  )

describe('practice runs', () => {
  it('are marked by the server, whatever score is sent with them, and the best of each person is kept', async () => {
    const { body } = await tam.post<Handed>('/api/practice', { ...runOf(), score: 3 })
    expect(body.marked.score).toBe(100)
    expect((await jory.post<Handed>('/api/practice', runOf({ acts: [], seconds: 5 }))).body.marked.score).toBeLessThan(
      30,
    )
    await tam.post('/api/practice', runOf({ seconds: 200 }))
    await tam.post('/api/practice', runOf({ seconds: 900 }))
    expect(await bestOf('Tam')).toMatchObject([{ score: 100, seconds: 200 }])
    expect(await bestOf('Jory')).toMatchObject([{ seconds: 5 }])
  })
  it('tell over time what was practised and what went wrong: one’s own, and to a lead the crew’s', async () => {
    const ines = new Client()
    await ines.signIn('ines')
    await jory.post('/api/practice', runOf({ acts: [], seconds: 7 }))
    const ofJory = (await jory.get<PracticeResponse>('/api/practice')).body.runs
    expect(new Set(ofJory.map(r => r.person))).toEqual(new Set(['Jory']))
    const last = ofJory.at(-1)!
    expect(last).toMatchObject({ seconds: 7, drill: null })
    expect(last.slips).toContain('mark.not-proved')
    const ofCrew = (await ines.get<PracticeResponse>('/api/practice')).body.runs
    expect(ofCrew.map(r => r.person)).toEqual(expect.arrayContaining(['Jory', 'Tam']))
    expect(ofCrew.map(r => r.at)).toEqual(ofCrew.map(r => r.at).sort())
  })
  it('as a drill end when TDC is found, and have a best of their own', async () => {
    const drill = { kind, level: 1, seed: 33, guidance: 'on', drill: 'find' } as const
    const acts = playByBench(drill).acts
    const { body } = await jory.post<Handed>('/api/practice', runOf({ seed: 33, drill: 'find', acts, seconds: 61 }))
    expect(body.marked.score).toBe(100)
    const best = body.best.filter(b => b.person === 'Jory' && b.engineId === kind.id)
    expect(best.find(b => b.drill === 'find')).toMatchObject({ score: 100, seconds: 61 })
    expect(best.find(b => b.drill === null)!.score).toBeLessThan(30)
  })
  it('may be made on a model of the shop’s own spec book, and on nobody else’s', async () => {
    const model = (
      await tam.post<{ id: number }>('/api/models', {
        maker: 'Practised',
        model: `P ${Date.now()}`,
        engine: engineOf(),
      })
    ).body
    expect((await tam.post<Handed>('/api/practice', runOf({ engineId: `model-${model.id}`, acts: [] }))).status).toBe(
      200,
    )
    expect((await tam.post('/api/practice', runOf({ engineId: 'model-99999999', acts: [] }))).status).toBe(404)
  })
  it.each<[string, Record<string, unknown>, RegExp]>([
    ['an engine that is none', { engineId: 'no-such' }, /no such practice engine/],
    ['a level that is none', { level: 7 }, /A level is 1 to 4/],
    [
      'what is not said at a practice engine',
      { acts: [{ kind: 'said', type: 'closed', payload: {} }] satisfies Act[] },
      /can’t be answered at a practice engine/,
    ],
    [
      'an answer that is none',
      { acts: [{ kind: 'said', type: 'trial', payload: { valveId: 'x' } }] },
      /not a valid “trial”/,
    ],
    [
      'more answers than a run keeps',
      { acts: Array(401).fill({ kind: 'said', type: 'mark-checked', payload: { valveId: 'a-intake', still: true } }) },
      /more than 400 answers/,
    ],
  ])('refuses %s with words', async (_, changes, words) => {
    const { status, body } = await tam.post('/api/practice', runOf(changes))
    expect([404, 422]).toContain(status)
    expect(JSON.stringify(body)).toMatch(words)
  })
  it('are for those who are signed in', async () =>
    expect((await new Client().post('/api/practice', runOf({ acts: [] }))).status).toBe(401))
})
