import { beforeAll, describe, expect, it } from 'vitest'
import { many } from '../../server/database/query'
import { engineOf } from '../support/builders'
import { pool } from '../support/database'
import { twinOf } from '../support/engines'
import { Client } from '../support/server'

const nobody = new Client()
let ines: Client
let tam: Client
let jobId = 0

async function newMachine(client: Client): Promise<number> {
  const models = (await client.get<{ rows: { id: number; model: string }[] }>('/api/models?q=Hedgerow%2018')).body.rows
  const tag = `T-${Math.random().toString(36).slice(2, 8)}`
  return (
    await client.post<{ id: number }>('/api/machines', {
      name: 'Test machine',
      tag,
      modelId: models.find(m => m.model === 'Hedgerow 18')!.id,
      meterUnit: 'h',
      customer: { name: 'T. Owner' },
    })
  ).body.id
}
async function newJob(client: Client, more: Record<string, unknown> = {}): Promise<number> {
  const machineId = await newMachine(client)
  const sets = (await client.get<{ id: number }[]>('/api/blade-sets')).body
  const made = await client.post<{ id: number }>('/api/jobs', {
    machineId,
    bladeSetId: sets[0]!.id,
    meter: 100,
    complaint: 'due',
    ...more,
  })
  expect(made.status).toBe(200)
  return made.body.id
}

beforeAll(async () => {
  ines = await new Client().signIn('ines')
  tam = await new Client().signIn('tam')
  jobId = await newJob(ines)
})

describe('who may', () => {
  it.each([
    '/api/session',
    '/api/bay',
    '/api/jobs/1',
    '/api/machines',
    '/api/models',
    '/api/people',
    '/api/jobs/1/sheet',
    '/api/live',
    '/api/shelf',
  ])('%s wants a session: 401 as problem+json', async path => {
    const { status, type, body } = await nobody.get(path)
    expect({ status, type, title: typeof body.title }).toEqual({
      status: 401,
      type: 'application/problem+json',
      title: 'string',
    })
  })
  it('a write from another site is refused, signed in or not', async () => {
    expect((await ines.call('POST', '/api/people', {}, { origin: 'http://elsewhere.example' })).status).toBe(403)
    expect((await ines.call('POST', '/api/people', {}, { origin: 'null' })).status).toBe(403)
    expect((await ines.call('POST', '/api/people', {}, { 'origin': '', 'sec-fetch-site': 'cross-site' })).status).toBe(
      403,
    )
  })
  it('a mechanic does not add people or blade sets, nor approve', async () => {
    for (const path of ['/api/people', '/api/blade-sets', '/api/revisions/1/approve'])
      expect((await tam.post(path, {})).status).toBe(403)
  })
  it('a wrong password and an unknown name get the same answer', async () => {
    const wrong = await nobody.post('/api/session', { signIn: 'jory', password: 'nonsense' })
    const unknown = await nobody.post('/api/session', { signIn: 'nobody-here', password: 'nonsense' })
    expect([wrong.status, wrong.body.title]).toEqual([unknown.status, unknown.body.title])
  })
  it('signing out ends the session; a lead can end it on every device', async () => {
    const there = await new Client().signIn('jory')
    expect((await there.get('/api/session')).status).toBe(200)
    expect((await tam.post(`/api/people/${there.personId}/sign-out`)).status).toBe(403)
    expect((await ines.post(`/api/people/${there.personId}/sign-out`)).status).toBe(200)
    expect((await there.get('/api/session')).status).toBe(401)
    const again = await new Client().signIn('jory')
    await again.call('DELETE', '/api/session')
    expect((await again.get('/api/session')).status).toBe(401)
  })
  it('there is one first page only', async () => {
    expect((await nobody.get('/api/setup')).body).toEqual({ needed: false })
    expect(
      (
        await nobody.post('/api/setup', {
          shop: 'X',
          timeZone: 'Etc/UTC',
          unit: 'mm',
          lead: { name: 'X', signIn: 'x', password: 'longenough' },
        })
      ).status,
    ).toBe(409)
  })
})

describe('events', () => {
  it('an answer counts once however often it arrives', async () => {
    const event = ines.event({ type: 'temperature', payload: { celsius: 20 } })
    const first = await ines.post<{ event: { seq: number } }>(`/api/jobs/${jobId}/events`, event)
    const again = await ines.post<{ event: { seq: number } }>(`/api/jobs/${jobId}/events`, event)
    expect([first.status, again.status, again.body.event]).toEqual([200, 200, first.body.event])
    expect(await many(pool, 'SELECT seq FROM events WHERE id = ?', [event.id])).toHaveLength(1)
  })
  it('the same id with another body is refused', async () => {
    const event = ines.event({ type: 'temperature', payload: { celsius: 21 } })
    await ines.post(`/api/jobs/${jobId}/events`, event)
    expect((await ines.post(`/api/jobs/${jobId}/events`, { ...event, payload: { celsius: 22 } })).body).toMatchObject({
      status: 409,
      code: 'id-reused',
    })
  })
  it('an actor who is not the one signed in is refused', async () => {
    expect(
      (await tam.answer(jobId, { type: 'note', payload: { text: 'x' } }, { personId: ines.personId })).body,
    ).toMatchObject({ status: 409, code: 'actor' })
  })
  it('taking back what was taken back is refused', async () => {
    const made = await ines.answer<{ event: { id: string } }>(jobId, { type: 'note', payload: { text: 'x' } })
    const back = () =>
      ines.answer(jobId, { type: 'retracted', payload: { eventId: made.body.event.id, how: 'recorded wrongly' } })
    expect((await back()).status).toBe(200)
    expect((await back()).body).toMatchObject({ status: 409, code: 'retracted-already' })
    expect(
      (
        await ines.answer(jobId, {
          type: 'retracted',
          payload: { eventId: '01900000-0000-7000-8000-000000000000', how: 'recorded wrongly' },
        })
      ).body.code,
    ).toBe('nothing-to-retract')
  })
  it('contradicting trials and impossible looks are taken: they are evidence', async () => {
    for (const [t, feel] of [
      [0.3, 'free'],
      [0.1, 'no-go'],
    ] as const)
      expect(
        (await ines.answer(jobId, { type: 'trial', payload: { valveId: 'intake', bladesMm: [t], feel, after: null } }))
          .status,
      ).toBe(200)
    expect(
      await many(pool, 'SELECT verdict FROM readings WHERE job_id = ? AND valve_id = ?', [jobId, 'intake']),
    ).toEqual([{ verdict: 'unproved' }])
  })
  it('many at once get numbers without a hole, each device in its order', async () => {
    const job = await newJob(ines)
    const people = [ines, tam]
    await Promise.all(
      people.map(async client => {
        for (let i = 0; i < 10; i++)
          expect((await client.answer(job, { type: 'note', payload: { text: `${i}` } })).status).toBe(200)
      }),
    )
    const rows = await many<{ seq: number; device_id: string; device_seq: number }>(
      pool,
      'SELECT seq, device_id, device_seq FROM events WHERE job_id = ? ORDER BY seq',
      [job],
    )
    expect(rows.map(r => r.seq)).toEqual(Array.from({ length: 20 }, (_, i) => i + 1))
    for (const client of people) {
      const own = rows.filter(r => r.device_id === client.device).map(r => r.device_seq)
      expect(own).toEqual([...own].sort((a, b) => a - b))
    }
  })
  it('the end of the log can be fetched alone', async () => {
    const { body } = await ines.get<{ events: { seq: number }[]; lastSeq: number }>(`/api/jobs/${jobId}?after=2`)
    expect(body.events.map(e => e.seq)).toEqual(Array.from({ length: body.lastSeq - 2 }, (_, i) => i + 3))
  })
})

describe('closing', () => {
  it('keeps the sheet as signed, refuses more, and a lead opens it again with a reason; both sheets are kept', async () => {
    const job = await newJob(tam)
    expect((await tam.answer(job, { type: 'closed', payload: {} })).status).toBe(200)
    const signed = (await tam.get<{ signed: { by: string } | null; sheet: unknown }>(`/api/jobs/${job}/sheet`)).body
    expect(signed.signed?.by).toBe('Tam')
    expect((await tam.answer(job, { type: 'note', payload: { text: 'late' } })).body).toMatchObject({
      status: 409,
      code: 'job-closed',
    })
    expect((await tam.answer(job, { type: 'closed', payload: {} })).body.code).toBe('closed-already')
    expect((await tam.answer(job, { type: 'reopened', payload: { reason: 'x' } })).status).toBe(403)
    expect((await ines.answer(job, { type: 'reopened', payload: { reason: 'Wrong meter' } })).status).toBe(200)
    expect((await ines.answer(job, { type: 'note', payload: { text: 'meter read again' } })).status).toBe(200)
    expect((await ines.answer(job, { type: 'closed', payload: {} })).status).toBe(200)
    const rows = await many<{ seq: number; content: string }>(
      pool,
      'SELECT seq, content FROM sheets WHERE job_id = ? ORDER BY seq',
      [job],
    )
    expect(rows).toHaveLength(2)
    expect(JSON.parse(rows[0]!.content)).toEqual(signed.sheet)
  })
})

describe('bad input', () => {
  it.each<[string, unknown, number, RegExp]>([
    ['no JSON', '{"id":', 400, /not readable/],
    ['too much', JSON.stringify({ text: 'x'.repeat(300_000) }), 413, /256 KB/],
    ['an unknown kind', { type: 'wished', payload: {} }, 422, /./],
    ['a nonsense temperature', { type: 'temperature', payload: { celsius: 900 } }, 422, /Check the unit/],
    [
      'a blade of no size',
      { type: 'trial', payload: { valveId: 'intake', bladesMm: [0], feel: 'drag', after: null } },
      422,
      /./,
    ],
  ])('an answer with %s: a clear message, nothing written', async (_, body, status, words) => {
    const before = (await ines.get<{ lastSeq: number }>(`/api/jobs/${jobId}`)).body.lastSeq
    const { status: got, body: problem } = await ines.post(
      `/api/jobs/${jobId}/events`,
      typeof body === 'string' ? body : ines.event(body as never),
    )
    expect(got).toBe(status)
    expect(problem.title).toMatch(words)
    expect((await ines.get<{ lastSeq: number }>(`/api/jobs/${jobId}`)).body.lastSeq).toBe(before)
  })
  it('a meter lower than last time names the last, and may be a new meter', async () => {
    const machineId = await newMachine(ines)
    const bladeSetId = (await ines.get<{ id: number }[]>('/api/blade-sets')).body[0]!.id
    const open = (meter: number, more = {}) =>
      ines.post<{ id: number }>('/api/jobs', { machineId, bladeSetId, meter, ...more })
    const first = await open(500)
    await ines.answer(first.body.id, { type: 'abandoned', payload: { reason: 'test' } })
    const lower = await open(400)
    expect(lower.body).toMatchObject({ status: 422, code: 'meter-lower', fields: [{ field: 'meter' }] })
    expect(lower.body.title).toContain('500 h')
    expect((await open(400, { meterReplaced: true })).status).toBe(200)
  })
  it('a machine has one open job at a time', async () => {
    const machineId = await newMachine(ines)
    const bladeSetId = (await ines.get<{ id: number }[]>('/api/blade-sets')).body[0]!.id
    await ines.post('/api/jobs', { machineId, bladeSetId, meter: null })
    expect((await ines.post('/api/jobs', { machineId, bladeSetId, meter: null })).body.code).toBe('open-job')
  })
  it('names the field of a spec that cannot be', async () => {
    const { status, body } = await ines.post('/api/models', {
      maker: 'A',
      model: 'B',
      engine: { ...engineOf(), strokeMm: 0 },
    })
    expect(status).toBe(422)
    expect(body.fields?.[0]).toMatchObject({ field: 'engine.strokeMm' })
  })
  it.each<[string, object, string, RegExp]>([
    [
      'a firing angle outside the cycle',
      { cylinders: [{ id: 'only', name: 'One', firingAngleDeg: 720 }] },
      'engine.cylinders.0.firingAngleDeg',
      /0 to under 720/,
    ],
    ['a mark with no pointer', { markWindow: '' }, 'engine.markWindow', /no pointer/],
    [
      'closing before opening',
      {
        cam: {
          checkLiftMm: 1,
          intakeOpensBeforeTdcDeg: 6,
          intakeClosesAfterBdcDeg: 36,
          exhaustOpensBeforeBdcDeg: 38,
          exhaustClosesAfterTdcDeg: -250,
        },
      },
      'engine.cam',
      /Check the sign/,
    ],
    [
      'a stop that serves no valve',
      { makersStops: [{ crankDeg: 0, place: { kind: 'mark', markIndex: 0 }, valveIds: [] }] },
      'engine.makersStops.0.valveIds',
      /serves no valve/,
    ],
    [
      'a stop printed where its mark does not show',
      { makersStops: [{ crankDeg: 90, place: { kind: 'mark', markIndex: 0 }, valveIds: ['intake'] }] },
      'engine.makersStops.0.crankDeg',
      /90° from there/,
    ],
    [
      'a stop at a mark that is not there',
      { makersStops: [{ crankDeg: 0, place: { kind: 'mark', markIndex: 9 }, valveIds: ['intake'] }] },
      'engine.makersStops.0.place',
      /mark/,
    ],
    [
      'a cylinder without valves',
      {
        cylinders: [
          { id: 'only', name: 'One', firingAngleDeg: 0 },
          { id: 'b', name: 'Two', firingAngleDeg: 360 },
        ],
      },
      'engine.valves',
      /Two has no intake and no exhaust/,
    ],
    [
      'a decompressor on no cylinder',
      { decompressor: { kind: 'arc', role: 'exhaust', fromDeg: -120, toDeg: 10, cylinderId: 'third' } },
      'engine.decompressor.cylinderId',
      /no cylinder/,
    ],
  ])('%s: the field and the reason', async (_, changes, field, words) => {
    const { status, body } = await ines.post('/api/models', {
      maker: 'A',
      model: 'B',
      engine: { ...engineOf(), ...changes },
    })
    expect(status).toBe(422)
    expect(body.fields?.find(f => f.field.startsWith(field))?.message, JSON.stringify(body.fields)).toMatch(words)
  })
  it('a twin is taken, and a job on it begins by the shop’s favourite way', async () => {
    const model = (
      await ines.post<{ id: number }>('/api/models', { maker: 'A', model: `Twin ${Date.now()}`, engine: twinOf(180) })
    ).body
    expect((await tam.call('PUT', '/api/shop', { favouriteSchool: 'rod' })).status).toBe(403)
    expect((await ines.call('PUT', '/api/shop', { favouriteSchool: 'guessing' })).body.fields?.[0]?.message).toMatch(
      /Choose one/,
    )
    expect((await ines.call('PUT', '/api/shop', { favouriteSchool: 'rod' })).status).toBe(200)
    const machine = await ines.post<{ id: number }>('/api/machines', {
      name: 'Twin',
      tag: `W-${Date.now() % 1e6}`,
      modelId: model.id,
      meterUnit: 'h',
      customer: { name: 'T' },
    })
    const bladeSetId = (await ines.get<{ id: number }[]>('/api/blade-sets')).body[0]!.id
    const job = await ines.post<{ id: number }>('/api/jobs', { machineId: machine.body.id, bladeSetId, meter: null })
    await ines.call('PUT', '/api/shop', { favouriteSchool: null })
    expect((await ines.get<{ pin: { school: string } }>(`/api/jobs/${job.body.id}`)).body.pin.school).toBe('rod')
  })
  it('an impossible answer is not refused: it is evidence', async () => {
    const id = await newJob(ines)
    expect(
      (
        await ines.answer(id, {
          type: 'crank',
          payload: { observations: [{ kind: 'lost' }, { kind: 'turn', deg: -300 }, { kind: 'turn', deg: 1440 }] },
        })
      ).status,
    ).toBe(200)
    expect(
      (await ines.answer(id, { type: 'crank', payload: { observations: [{ kind: 'turn', deg: 5000 }] } })).status,
    ).toBe(422)
  })
  it('a doubled tag says what to do', async () => {
    const models = (await ines.get<{ rows: { id: number }[] }>('/api/models?q=Hedgerow%2018')).body.rows
    const machine = { name: 'Twice', tag: 'M-0101', modelId: models[0]!.id, meterUnit: 'h', customer: { name: 'T' } }
    expect((await ines.post('/api/machines', machine)).body).toMatchObject({ status: 409, code: 'duplicate' })
  })
})

describe('a mechanic’s spec', () => {
  it('is a draft until a lead approves it; a job opened meanwhile keeps the draft', async () => {
    const model = `Draft ${Date.now()}`
    const made = await tam.post<{ id: number; revisionId: number; status: string }>('/api/models', {
      maker: 'Test',
      model,
      engine: engineOf(),
    })
    expect(made.body.status).toBe('draft')
    const machine = await tam.post<{ id: number }>('/api/machines', {
      name: model,
      tag: `D-${Date.now() % 1e6}`,
      modelId: made.body.id,
      meterUnit: 'h',
      customer: { name: 'T' },
    })
    const bladeSetId = (await tam.get<{ id: number }[]>('/api/blade-sets')).body[0]!.id
    const job = await tam.post<{ id: number }>('/api/jobs', { machineId: machine.body.id, bladeSetId, meter: null })
    expect((await ines.post(`/api/revisions/${made.body.revisionId}/approve`, {})).body).toMatchObject({
      approvedBy: 'Ines',
    })
    expect((await ines.post(`/api/revisions/${made.body.revisionId}/approve`, {})).status).toBe(409)
    expect(
      (await tam.get<{ pin: { spec: { status: string } } }>(`/api/jobs/${job.body.id}`)).body.pin.spec.status,
    ).toBe('draft')
  })
})

describe('health and headers', () => {
  it('is live and ready', async () => {
    expect((await nobody.get('/api/health/live')).body).toEqual({ status: 'live' })
    expect((await nobody.get('/api/health/ready')).body).toEqual({ status: 'ready' })
  })
  it('sends a policy without inline script, and nothing to other sites', async () => {
    const { headers } = await fetch(`${process.env.WEMBRIC_TEST_URL}/sign-in`)
    const policy = headers.get('content-security-policy') ?? ''
    expect(policy).toMatch(/script-src 'self' 'nonce-/)
    expect(policy.split(';').find(d => d.trim().startsWith('script-src'))).not.toContain('unsafe-inline')
    expect(headers.get('access-control-allow-origin')).toBeNull()
    expect(headers.get('x-content-type-options')).toBe('nosniff')
  })
  it('keeps an idle connection for longer than a proxy in front does', async () => {
    // nginx keeps one to a server behind it for 60 s (ngx_http_upstream_module, keepalive_timeout)
    const { headers } = await fetch(`${process.env.WEMBRIC_TEST_URL}/api/health/live`)
    expect(Number(/timeout=(\d+)/.exec(headers.get('keep-alive') ?? '')?.[1])).toBeGreaterThan(60)
  })
  it('an API answer is never a page', async () => {
    const { headers } = await fetch(`${process.env.WEMBRIC_TEST_URL}/api/health/live`)
    expect(headers.get('content-security-policy')).toContain("default-src 'none'")
    expect(headers.get('x-content-type-options')).toBe('nosniff')
    expect(headers.get('access-control-allow-origin')).toBeNull()
    expect(headers.get('cache-control')).toBe('no-store')
  })
  it('an unknown route is a problem, not a page', async () =>
    expect((await nobody.get('/api/nothing')).body).toMatchObject({ status: 404 }))
})

describe('what the last visit left to be done', () => {
  it('is asked about at the machine’s next job, and at no other machine’s', async () => {
    const machines = (await ines.get<{ id: number; tag: string }[]>('/api/machines?q=M-0115')).body
    const sets = (await ines.get<{ id: number }[]>('/api/blade-sets')).body
    const open = async (machineId: number) => {
      const { body } = await ines.post<{ id: number }>('/api/jobs', {
        machineId,
        bladeSetId: sets[0]!.id,
        meter: null,
        complaints: ['ticks cold'],
        complaint: '',
      })
      return (await ines.get<{ pin: { toDo: unknown[]; complaints: string[] } }>(`/api/jobs/${body.id}`)).body.pin
    }
    expect(await open(machines.find(m => m.tag === 'M-0115')!.id)).toMatchObject({
      complaints: ['ticks cold'],
      toDo: [{ part: 'Fuel hose', text: 'hardened at the clip', end: 'to do' }],
    })
    expect((await open(await newMachine(ines))).toDo).toEqual([])
  })
  it('a complaint that is none is refused in words', async () => {
    const machineId = await newMachine(ines)
    const sets = (await ines.get<{ id: number }[]>('/api/blade-sets')).body
    const { status, body } = await ines.post<{ detail: string }>('/api/jobs', {
      machineId,
      bladeSetId: sets[0]!.id,
      meter: null,
      complaints: ['sad'],
      complaint: '',
    })
    expect(status).toBe(422)
    expect(JSON.stringify(body)).toContain('Choose one of the answers')
  })
})
