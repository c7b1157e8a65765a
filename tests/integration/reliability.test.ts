import { createConnection } from 'mysql2/promise'
import sharp from 'sharp'
import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Happening, JobEvent } from '../../core/job'
import { CommitNotKnown } from '../../server/database/errors'
import { migrate } from '../../server/database/migrate'
import { runSteps, statementsOf } from '../../server/database/migration-steps'
import { many, one, transaction } from '../../server/database/query'
import { clientAddress } from '../../server/http/client-address'
import { toProblem } from '../../server/problem'
import { withFreeNumber } from '../../server/services/jobs'
import { hashPassword, isOutdated, passwordMatches } from '../../server/services/passwords'
import { countTry, forgetOwnTries } from '../../server/services/sign-in-throttle'
import { migrationSettings, pool } from '../support/database'
import { Client } from '../support/server'
import { newMachine, openJob, unique } from '../support/shop-work'

const T = { kind: 'mark', markIndex: 0 } as const
const move: Happening = { type: 'crank', payload: { observations: [{ kind: 'move', to: T }] } }
const feel: Happening = {
  type: 'crank',
  payload: { observations: [{ kind: 'rocker', valveId: 'intake', slack: true }] },
}
const close: Happening = { type: 'closed', payload: {} }

let ines: Client
let tam: Client
beforeAll(async () => {
  ines = await new Client().signIn('ines')
  tam = await new Client().signIn('tam')
})
const newJob = async () => (await openJob(ines, await newMachine(ines), 12)).body.id

describe('a tablet that changes hands', () => {
  it('takes the answers of the first person after those of the second, and folds them in the order of the work', async () => {
    const job = await newJob()
    const page = { deviceId: `d-${unique()}.p1` }
    const early = ines.event(move, { ...page, deviceSeq: 1, seenDeviceSeq: 0 })
    expect((await tam.answer(job, feel, { ...page, deviceSeq: 2, seenDeviceSeq: 0 })).status).toBe(200)
    expect((await ines.post(`/api/jobs/${job}/events`, early)).status).toBe(200)
    const { events } = (await ines.get<{ events: JobEvent[] }>(`/api/jobs/${job}?after=0`)).body
    expect(events.map(e => [e.seq, e.deviceSeq, e.seenDeviceSeq])).toEqual([
      [1, 2, 0],
      [2, 1, 0],
    ])
  })
  it('a job is not signed while an answer that the device held has not arrived', async () => {
    const job = await newJob()
    const waiting = ines.event(feel)
    const early = await tam.answer(job, { type: 'closed', payload: { after: [waiting.id] } })
    expect([early.status, early.body.code]).toEqual([409, 'answers-missing'])
    expect(early.body.title).toMatch(/^One answer given on this device has not reached the shop/)
    await ines.post(`/api/jobs/${job}/events`, waiting)
    expect((await tam.answer(job, { type: 'closed', payload: { after: [waiting.id] } })).status).toBe(200)
  })
  it('nor while an answer has no place in the work yet, and says how many', async () => {
    const job = await newJob()
    await ines.answer(job, move)
    const lost = await tam.answer<{ event: JobEvent }>(job, feel)
    const refused = await ines.answer(job, close, { seenSeq: 2 })
    expect([refused.status, refused.body.code]).toEqual([409, 'unplaced'])
    await ines.answer(job, { type: 'placed', payload: { eventId: lost.body.event.id, when: 'before' } }, { seenSeq: 2 })
    expect((await ines.answer(job, close, { seenSeq: 3 })).status).toBe(200)
  })
})

describe('signing in', () => {
  const stranger = (address: string, signIn: string) => ({ signIn, address, device: null })
  const waits = async (from: Parameters<typeof countTry>[1]) =>
    countTry(pool, from).then(
      () => 0,
      (problem: { status: number; more: { retryAfterS: number } }) => {
        expect(problem.status).toBe(429)
        return problem.more.retryAfterS
      },
    )
  it('counts guesses before they are looked at: of 250 at once no more are judged than are free', async () => {
    const from = stranger('192.0.2.1', unique())
    const judged = (await Promise.all(Array.from({ length: 250 }, () => waits(from)))).filter(w => w === 0)
    expect(judged).toHaveLength(6)
  })
  it('waits longer each time, and begins anew after the right password', async () => {
    const from = stranger('192.0.2.2', unique())
    for (let i = 0; i < 6; i++) await countTry(pool, from)
    expect(await waits(from)).toBeLessThanOrEqual(5)
    await forgetOwnTries(pool, from)
    expect(await waits(from)).toBe(0)
  })
  it('a stranger’s guesses hold up neither the same name elsewhere, nor a device that has signed in by it, nor others at that address', async () => {
    const name = unique()
    for (let i = 0; i < 6; i++) await countTry(pool, stranger('192.0.2.3', name))
    expect(await waits(stranger('192.0.2.3', name))).toBeGreaterThan(0)
    expect(await waits(stranger('192.0.2.4', name))).toBe(0)
    expect(await waits({ signIn: name, address: '192.0.2.3', device: 'known' })).toBe(0)
    expect(await waits(stranger('192.0.2.3', unique()))).toBe(0)
  })
  it('says over HTTP how long to wait, and lets a device in that is known', async () => {
    const known = await new Client().signIn('jory')
    const guess = new Client()
    let refused
    for (let i = 0; i < 8; i++) refused = await guess.post('/api/session', { signIn: 'jory', password: 'nonsense' })
    expect(refused!.status).toBe(429)
    expect(refused!.body.title).toMatch(/Wait \d+ seconds/)
    expect(refused!.retryAfter).toMatch(/^\d+$/)
    expect((await known.post('/api/session', { signIn: 'jory', password: 'quillbrook' })).status).toBe(200)
    await forgetOwnTries(pool, stranger('127.0.0.1', 'jory'))
  })
  it('a name that grows in lower case, and one of odd letters, are names like any other', async () => {
    for (const signIn of ['İ'.repeat(60), '\u{1F527}'.repeat(30)])
      expect((await new Client().post('/api/session', { signIn, password: 'x' })).status).toBe(401)
  })
  it('ends at the server: a copy of the cookie opens nothing after signing out', async () => {
    const here = await new Client().signIn('tam')
    const copy = here.copy()
    expect((await copy.get('/api/session')).status).toBe(200)
    await here.call('DELETE', '/api/session')
    expect((await copy.get('/api/session')).status).toBe(401)
  })
  it('a hash of an earlier version still fits, and is made anew at the next sign-in', async () => {
    // scrypt with N = 2^14, r = 8, p = 1, as version 0.6 made them
    const { scryptSync, randomBytes } = await import('node:crypto')
    const salt = randomBytes(16)
    const old = `scrypt$16384$8$1$${salt.toString('base64')}$${scryptSync('quillbrook', salt, 32).toString('base64')}`
    expect([await passwordMatches('quillbrook', old), isOutdated(old)]).toEqual([true, true])
    expect(isOutdated(await hashPassword('quillbrook'))).toBe(false)
    await pool.query('UPDATE people SET password_hash = ? WHERE sign_in = ?', [old, 'tam'])
    await new Client().signIn('tam')
    const { hash } = await one<{ hash: string }>(pool, 'SELECT password_hash AS hash FROM people WHERE sign_in = ?', [
      'tam',
    ])
    expect([isOutdated(hash), await passwordMatches('quillbrook', hash)]).toEqual([false, true])
  })
})

describe('what a request is taken for', () => {
  const from = (forwarded: string, trusted?: string) => {
    process.env.WEMBRIC_TRUSTED_PROXY = trusted
    if (trusted === undefined) delete process.env.WEMBRIC_TRUSTED_PROXY
    const req = { headers: { 'x-forwarded-for': forwarded }, socket: { remoteAddress: '127.0.0.1' } }
    const address = clientAddress({ node: { req } } as never)
    delete process.env.WEMBRIC_TRUSTED_PROXY
    return address
  }
  it('its address is what a named proxy says, and what it comes from where none is named', () => {
    expect(from('203.0.113.9')).toBe('127.0.0.1')
    expect(from('203.0.113.9', '192.0.2.7')).toBe('127.0.0.1')
    expect(from('203.0.113.9', '127.0.0.1')).toBe('203.0.113.9')
    // the last that was not a proxy of ours: what stands before it anybody may have written
    expect(from('198.51.100.1, 203.0.113.9', '127.0.0.1')).toBe('203.0.113.9')
  })
  it('a body that does not say that it is JSON is refused, with what to do', async () => {
    const { status, body } = await ines.call('POST', '/api/customers', { name: 'X' }, { 'content-type': 'text/plain' })
    expect([status, body.title]).toEqual([415, expect.stringContaining('must be JSON')])
  })
  it('the line for news is open at once: headers and a sign of life come before any news', async () => {
    const response = await fetch(`${process.env.WEMBRIC_TEST_URL}/api/live`, {
      headers: { cookie: ines.cookie },
      signal: AbortSignal.timeout(3000),
    })
    expect(response.headers.get('content-type')).toBe('text/event-stream')
    const reader = response.body!.getReader()
    expect(new TextDecoder().decode((await reader.read()).value)).toContain('event: alive')
    await reader.cancel()
  })
  it('a job number that another node took at the same moment is taken anew', async () => {
    let tries = 0
    const taken = Object.assign(new Error("Duplicate entry '1-402' for key 'jobs_number'"), { code: 'ER_DUP_ENTRY' })
    expect(
      await withFreeNumber(async () => {
        if (++tries < 3) throw taken
        return 'opened'
      }),
    ).toBe('opened')
    await expect(withFreeNumber(() => Promise.reject(taken))).rejects.toBe(taken)
  })
})

describe('a request that makes something', () => {
  const owner = () => ({ name: `O. ${unique()}`, contact: '' })
  const ask = (client: Client, body: object, id: string) =>
    client.call<{ id: number }>('POST', '/api/customers', body, { 'idempotency-key': id })
  it('makes it once, however often it comes, also many at a time', async () => {
    const body = owner()
    const id = uuidv7()
    const answers = await Promise.all(Array.from({ length: 8 }, () => ask(ines, body, id)))
    const made = answers.filter(a => a.status === 200)
    expect(made.length).toBeGreaterThan(0)
    expect(new Set(made.map(a => a.body.id)).size).toBe(1)
    // one that came while the first was not yet written down is told that it is saved
    for (const a of answers.filter(a => a.status !== 200))
      expect([a.status, a.body.code]).toEqual([409, 'saved-already'])
    expect(await many(pool, 'SELECT id FROM customers WHERE name = ?', [body.name])).toHaveLength(1)
    expect((await ask(ines, body, id)).body.id).toBe(made[0]!.body.id)
  })
  it('makes a photo once too, sent again after its reply was lost', async () => {
    const machine = await newMachine(ines)
    const picture = await sharp({ create: { width: 40, height: 30, channels: 3, background: '#888' } })
      .png()
      .toBuffer()
    const id = uuidv7()
    const send = () => ines.upload<{ id: number }>(`/api/machines/${machine.id}/photos`, picture, id)
    const [first, second] = [await send(), await send()]
    expect([first.status, second.status, second.body.id]).toEqual([200, 200, first.body.id])
    expect(await many(pool, 'SELECT id FROM photos WHERE machine_id = ?', [machine.id])).toHaveLength(1)
  })
  it('keeps no copy of a secret that is told once: a repeat hears that it was made, and nothing more is', async () => {
    const tam = (await ines.get<{ id: number; signIn: string }[]>('/api/people')).body.find(p => p.signIn === 'tam')!
    const told: [path: string, body: object, secretOf: (answer: Record<string, string>) => string][] = [
      ['/api/tokens', { name: `T ${unique()}` }, answer => answer.token!],
      ['/api/calendar-addresses', {}, answer => answer.path!.split('/').at(-1)!],
      [`/api/people/${tam.id}/code`, {}, answer => answer.code!],
    ]
    const kept = async () =>
      JSON.stringify(await many(pool, 'SELECT CAST(answer AS CHAR) AS answer FROM asked_once WHERE answer IS NOT NULL'))
    await ask(ines, owner(), uuidv7())
    expect(await kept()).toContain('id')
    for (const [path, body, secretOf] of told) {
      const id = uuidv7()
      const send = () => ines.call<Record<string, string>>('POST', path, body, { 'idempotency-key': id })
      const first = await send()
      expect(first.status, path).toBe(200)
      expect(secretOf(first.body).length, path).toBeGreaterThan(7)
      expect(await kept(), path).not.toContain(secretOf(first.body))
      expect((await send()).body.code, path).toBe('saved-already')
    }
    const [{ name }] = [told[0]![1] as { name: string }]
    expect(await many(pool, 'SELECT id FROM api_tokens WHERE name = ?', [name])).toHaveLength(1)
  })
  it('refuses the id for something else, and for what is no id', async () => {
    const id = uuidv7()
    await ask(ines, owner(), id)
    expect((await ask(ines, owner(), id)).body.code).toBe('id-reused')
    expect((await ask(ines, owner(), 'again')).status).toBe(422)
  })
  it('one that was refused may be asked again under its id', async () => {
    const id = uuidv7()
    expect((await ask(ines, { name: '' }, id)).status).toBe(422)
    const body = owner()
    expect((await ask(ines, body, id)).status).toBe(200)
  })
})

describe('migrations', () => {
  const NAME = 'wembric_test_steps'
  const settings = () => ({ ...migrationSettings(), database: NAME })
  const fresh = async () => {
    const db = await createConnection({ ...migrationSettings(), database: undefined })
    await db.query(`DROP DATABASE IF EXISTS ${NAME}`)
    await db.query(`CREATE DATABASE ${NAME} CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci`)
    await db.end()
  }
  const tables = async () => {
    const db = await createConnection(settings())
    const [rows] = await db.query(
      `SELECT TABLE_NAME AS t, COLUMN_NAME AS c, COLUMN_TYPE AS k FROM information_schema.COLUMNS
       WHERE TABLE_SCHEMA = ? AND TABLE_NAME NOT LIKE 'migration%' ORDER BY 1, ORDINAL_POSITION`,
      [NAME],
    )
    await db.end()
    return rows as object[]
  }
  afterAll(async () => {
    const db = await createConnection({ ...migrationSettings(), database: undefined })
    await db.query(`DROP DATABASE IF EXISTS ${NAME}`)
    await db.end()
  })
  it('stopped after every statement of every migration and started again, they come to the same tables', async () => {
    await fresh()
    await migrate(settings(), process.cwd())
    const wanted = await tables()
    await fresh()
    const stoppedAfter = new Set<string>()
    for (let done = false; !done;) {
      done = await migrate(settings(), process.cwd(), (_, statement) => {
        if (stoppedAfter.has(statement)) return
        stoppedAfter.add(statement)
        throw new Error('the power went')
      }).then(
        () => true,
        (error: Error) => {
          expect(error.message).toMatch(/the power went/)
          return false
        },
      )
    }
    expect(stoppedAfter.size).toBeGreaterThan(40)
    expect(await tables()).toEqual(wanted)
  })
  it('two that start at once on an empty database run each migration once', async () => {
    await fresh()
    const [a, b] = await Promise.all([migrate(settings(), process.cwd()), migrate(settings(), process.cwd())])
    expect(Math.min(a.length, b.length)).toBe(0)
    expect(Math.max(a.length, b.length)).toBeGreaterThan(10)
  })
  it('a change of rows that was cut off is made once, not twice', async () => {
    await fresh()
    const db = await createConnection(settings())
    const script = 'CREATE TABLE t (n INT);\nINSERT INTO t VALUES (1);\n-- more; of it\nINSERT INTO t VALUES (2);\n'
    expect(statementsOf(script)).toHaveLength(3)
    for (const stop of [1, 2]) {
      await expect(
        runSteps(db, script, step => {
          if (step === stop) throw new Error('cut')
        }),
      ).rejects.toThrow('cut')
      await db.rollback()
    }
    await runSteps(db, script)
    expect((await db.query('SELECT n FROM t ORDER BY n'))[0]).toEqual([{ n: 1 }, { n: 2 }])
    await db.end()
  })
})

describe('what is said when the database fails', () => {
  it.each([
    ['a connection that breaks at the commit', { code: 'PROTOCOL_CONNECTION_LOST' }],
    ['a cluster node that is cut off at the commit', { code: 'ER_ERROR_DURING_COMMIT', errno: 1180 }],
  ])('%s leaves it open whether it was saved', async (_, how) => {
    const broken = {
      getConnection: async () => ({
        beginTransaction: async () => {},
        execute: async () => [[]],
        commit: async () => {
          throw Object.assign(new Error('x'), how)
        },
        rollback: async () => {},
        release: () => {},
        destroy: () => {},
      }),
    }
    const error: unknown = await transaction(broken as never, async () => 1).catch((e: unknown) => e)
    expect(error).toBeInstanceOf(CommitNotKnown)
    expect(toProblem(error)).toMatchObject({ status: 503, code: 'not-known', retryAfterS: 2 })
  })
  it.each([
    ['a deadlock for the third time', { code: 'ER_LOCK_DEADLOCK' }, 503, /Nothing was changed/],
    ['a cluster node on its own', { code: 'ER_UNKNOWN_COM_ERROR', errno: 1047 }, 503, /cut off/],
    ['a full disk', { code: 'ER_DISK_FULL' }, 503, /Make room/],
    ['nobody there', { code: 'ECONNREFUSED' }, 503, /doesn’t answer/],
  ])('%s', async (_, thrown, status, words) => {
    const failing = {
      getConnection: async () => ({
        beginTransaction: async () => {},
        execute: async () => [[]],
        commit: async () => {},
        rollback: async () => {},
        release: () => {},
        destroy: () => {},
      }),
    }
    const error: unknown = await transaction(failing as never, async () => {
      throw Object.assign(new Error('x'), thrown)
    }).catch((e: unknown) => e)
    const problem = toProblem(error)
    expect(problem.status).toBe(status)
    expect(problem.title).toMatch(words)
    expect(problem.retryAfterS).toBeGreaterThan(0)
  })
})
