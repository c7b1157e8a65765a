import { createConnection } from 'mysql2/promise'
import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { plainBlade } from '../../core/feeler'
import { type Happening, JUDGEMENT_VERSION } from '../../core/job'
import { migrate } from '../../server/database/migrate'
import { change, many, maybeOne, one, transaction } from '../../server/database/query'
import { loadDemo } from '../../server/demo'
import { bladeSetsOfShop, insertBladeSet } from '../../server/repositories/blade-sets'
import { insertCustomer } from '../../server/repositories/customers'
import { insertMachine } from '../../server/repositories/machines'
import { indexOlderModels, insertModel, modelById } from '../../server/repositories/models'
import { insertPerson } from '../../server/repositories/people'
import { readingsOfJob } from '../../server/repositories/readings'
import { insertRevision } from '../../server/repositories/revisions'
import { halfLoadedDemo, insertShop, shopById } from '../../server/repositories/shops'
import { bayOf } from '../../server/services/bay'
import { startOfDay } from '../../server/services/days'
import { postEvent } from '../../server/services/job-log'
import { openJob, readJob } from '../../server/services/jobs'
import { listen, type News } from '../../server/services/live'
import { hashPassword, passwordMatches } from '../../server/services/passwords'
import type { SignedIn } from '../../server/services/people'
import { rebuildReadings } from '../../server/services/rebuild'
import { readSheet } from '../../server/services/sheet'
import { removeShop } from '../../server/services/shops'
import { searchModels } from '../../server/services/spec-book'
import { engineOf, setOf } from '../support/builders'
import { migrationSettings, pool } from '../support/database'

const shops: { person: SignedIn; jobId: number }[] = []
let count = 0

/** A shop of its own with a lead, a model, a machine and an open job. */
async function makeShop(): Promise<{ person: SignedIn; jobId: number }> {
  const shopId = await insertShop(pool, { name: `Shop ${++count}`, timeZone: 'Etc/UTC', unit: 'mm', demo: 'no' })
  const id = await insertPerson(pool, shopId, { signIn: uuidv7(), name: 'Ada', role: 'lead', passwordHash: 'x' })
  const person: SignedIn = { id, shopId, name: 'Ada', role: 'lead' }
  const modelId = await insertModel(pool, shopId, { maker: 'Test', model: 'M', code: '', kind: '' })
  await insertRevision(pool, shopId, { modelId, revision: 1, engine: engineOf(), authorId: id, approved: true })
  const customerId = await insertCustomer(pool, shopId, { name: 'Owner', contact: '' })
  const machineId = await insertMachine(pool, shopId, {
    customerId,
    modelId,
    name: 'Machine',
    tag: 'A',
    serial: '',
    meterUnit: 'h',
  })
  const bladeSetId = await insertBladeSet(pool, shopId, setOf('A', [0.05, 0.08, 0.1, 0.12, 0.15]))
  const { id: jobId } = await openJob(
    pool,
    person,
    { machineId, bladeSetId, meter: 10, meterReplaced: false, complaint: '' },
    new Date(),
  )
  return { person, jobId }
}
let seq = 0
const say = (person: SignedIn, jobId: number, happening: Happening) =>
  postEvent(
    pool,
    person,
    jobId,
    {
      ...happening,
      id: uuidv7(),
      version: 1,
      personId: person.id,
      deviceId: 'd',
      deviceSeq: ++seq,
      seenSeq: 0,
      at: new Date().toISOString(),
    } as never,
    new Date(),
  )
const trial = (t: number, feel: 'free' | 'no-go' | 'drag'): Happening => ({
  type: 'trial',
  payload: { valveId: 'exhaust', bladesMm: [t], feel, after: null },
})

beforeAll(async () => {
  shops.push(await makeShop(), await makeShop())
})
afterAll(() => pool.end())

describe('each shop sees only its own', () => {
  it('another shop’s job is not there: read, written to, or printed', async () => {
    const [ours, theirs] = shops as [(typeof shops)[0], (typeof shops)[0]]
    await expect(readJob(pool, ours.person.shopId, theirs.jobId, 0, new Date())).rejects.toMatchObject({ status: 404 })
    await expect(readSheet(pool, ours.person.shopId, theirs.jobId, new Date())).rejects.toMatchObject({ status: 404 })
    await expect(say(ours.person, theirs.jobId, trial(0.1, 'drag'))).rejects.toMatchObject({ status: 404 })
  })
  it('nor can its rows be tied to ours: foreign keys carry the shop', async () => {
    const [ours, theirs] = shops as [(typeof shops)[0], (typeof shops)[0]]
    const { machineId } = await one<{ machineId: number }>(
      pool,
      'SELECT machine_id AS machineId FROM jobs WHERE id = ?',
      [theirs.jobId],
    )
    await expect(
      change(pool, 'UPDATE jobs SET machine_id = ? WHERE id = ?', [machineId, ours.jobId]),
    ).rejects.toMatchObject({ code: 'ER_NO_REFERENCED_ROW_2' })
  })
  it('the application’s account cannot change tables', async () => {
    await expect(pool.query('CREATE TABLE x (a INT)')).rejects.toMatchObject({ code: 'ER_TABLEACCESS_DENIED_ERROR' })
  })
})

describe('the readings are a projection of the log', () => {
  it('written with the event, changed by what is taken back, and the same when made anew', async () => {
    const { person, jobId } = shops[0]!
    await say(person, jobId, trial(0.1, 'free'))
    const { event } = await say(person, jobId, trial(0.15, 'no-go'))
    expect(await readingsOfJob(pool, person.shopId, jobId)).toEqual([
      {
        valveId: 'exhaust',
        phase: 'as found',
        round: 0,
        loMm: 0.1,
        hiMm: 0.15,
        verdict: 'unproved',
        proof: null,
        personId: person.id,
      },
    ])
    await say(person, jobId, { type: 'retracted', payload: { eventId: event.id, how: 'recorded wrongly' } })
    const [row] = await readingsOfJob(pool, person.shopId, jobId)
    expect(row).toMatchObject({ loMm: 0.1, hiMm: null })
    const before = await many(pool, 'SELECT * FROM readings ORDER BY shop_id, job_id, valve_id, phase, round')
    await change(pool, 'DELETE FROM readings')
    await rebuildReadings(pool)
    expect(await many(pool, 'SELECT * FROM readings ORDER BY shop_id, job_id, valve_id, phase, round')).toEqual(before)
  })
  it('an event that cannot be projected is not written either', async () => {
    const { person, jobId } = shops[1]!
    const { lastSeq } = await readJob(pool, person.shopId, jobId, 0, new Date())
    await expect(say({ ...person, id: 999_999 }, jobId, trial(0.1, 'drag'))).rejects.toBeTruthy()
    expect((await readJob(pool, person.shopId, jobId, 0, new Date())).lastSeq).toBe(lastSeq)
  })
})

describe('the database', () => {
  it('is migrated once, also when two start together', async () => {
    const root = process.cwd()
    expect(await Promise.all([migrate(migrationSettings(), root), migrate(migrationSettings(), root)])).toEqual([
      [],
      [],
    ])
  })
  it('a deadlock is tried again and comes out right', async () => {
    const [a, b] = shops.map(s => s.jobId) as [number, number]
    let tries = 0
    let letGo = () => {}
    const held = new Promise<void>(resolve => {
      letGo = resolve
    })
    const bothHold = () => {
      if (tries === 2) letGo()
      return held
    }
    const touch = (first: number, second: number) =>
      transaction(pool, async db => {
        await db.execute('UPDATE jobs SET meter = COALESCE(meter, 0) + 1 WHERE id = ?', [first])
        // both hold their first row before either asks for its second: only so is there a deadlock
        tries++
        if (tries <= 2) await bothHold()
        await db.execute('UPDATE jobs SET meter = COALESCE(meter, 0) + 1 WHERE id = ?', [second])
      })
    const sum = async () =>
      (await one<{ n: number }>(pool, 'SELECT SUM(meter) AS n FROM jobs WHERE id IN (?, ?)', [a, b])).n
    const before = await sum()
    await Promise.all([touch(a, b), touch(b, a)])
    // one of the two was undone and tried again
    expect(tries).toBe(3)
    expect(await sum()).toBe(before + 4)
  })
  it('one row means one row', async () => {
    await expect(one(pool, 'SELECT 1 FROM shops WHERE id = 0')).rejects.toThrow(/none came/)
    await expect(maybeOne(pool, 'SELECT 1 UNION ALL SELECT 2')).rejects.toThrow(/2 came/)
    expect(await maybeOne(pool, 'SELECT 1 FROM shops WHERE id = 0')).toBeNull()
  })
  it('keeps its durability', async () => {
    const connection = await createConnection(migrationSettings())
    const [rows] = await connection.query(
      'SELECT @@innodb_flush_log_at_trx_commit AS flush, @@innodb_doublewrite AS doublewrite, @@bind_address AS address',
    )
    expect(rows).toMatchObject([{ flush: 1, doublewrite: 1, address: '127.0.0.1' }])
    await connection.end()
  })
  it('gives an engine back as it was written', async () => {
    const { shopId } = shops[0]!.person
    const { id } = await one<{ id: number }>(pool, 'SELECT id FROM engine_models WHERE shop_id = ?', [shopId])
    expect((await modelById(pool, shopId, id))?.engine).toEqual(engineOf())
  })
})

describe('the demo', () => {
  it('has jobs in every state, and as many each time it is loaded', async () => {
    // a board keeps what was done today: an hour after midnight, a job that was done an hour ago is off it
    const noon = new Date(startOfDay(new Date(), 'Etc/UTC').getTime() - 12 * 3_600_000)
    const count = async (shopId: number) =>
      (await bayOf(pool, shopId, noon)).cards.reduce<Record<string, number>>(
        (all, card) => ({ ...all, [card.column]: (all[card.column] ?? 0) + 1 }),
        {},
      )
    const load = async () => {
      await loadDemo(pool, noon)
      return one<{ id: number }>(pool, 'SELECT MAX(id) AS id FROM shops')
    }
    // sign-in names are unique on the server, so a second demo needs the first one's to be out of the way
    const free = () =>
      pool.query("UPDATE people SET sign_in = CONCAT(UUID(), id) WHERE sign_in IN ('ines', 'tam', 'jory')")
    await free()
    const first = await load()
    const columns = await count(first.id)
    expect(Object.keys(columns).sort()).toEqual(['bench', 'cooling', 'done', 'prove', 'ready'])
    const statuses = (
      await many<{ status: string }>(pool, 'SELECT DISTINCT status FROM jobs WHERE shop_id = ?', [first.id])
    )
      .map(r => r.status)
      .sort()
    expect(statuses).toEqual(['abandoned', 'closed', 'held', 'open'])
    await free()
    const second = await load()
    const readings = (shopId: number) =>
      many(
        pool,
        'SELECT j.number, r.valve_id, r.phase, r.round, r.clearance_lo_mm, r.clearance_hi_mm, r.verdict FROM readings r JOIN jobs j ON j.shop_id = r.shop_id AND j.id = r.job_id WHERE r.shop_id = ? ORDER BY 1, 2, 3, 4',
        [shopId],
      )
    expect(await readings(second.id)).toEqual(await readings(first.id))
  })
  it('cut off while loading, it is removed whole', async () => {
    const shopId = await insertShop(pool, { name: 'Half', timeZone: 'Etc/UTC', unit: 'mm', demo: 'loading' })
    await insertCustomer(pool, shopId, { name: 'Half', contact: '' })
    expect(await halfLoadedDemo(pool)).toEqual({ id: shopId })
    await removeShop(pool, shopId)
    expect(await halfLoadedDemo(pool)).toBeNull()
    expect(await many(pool, 'SELECT id FROM customers WHERE shop_id = ?', [shopId])).toEqual([])
  })
})

describe('data of an earlier version', () => {
  const asItWas = (engine: object) => {
    const { camMarks: _, makersStops: __, ...rest } = engine as ReturnType<typeof engineOf>
    return {
      ...rest,
      valves: rest.valves.map(({ adjuster: _, ...valve }) => valve),
      decompressor: { kind: 'arc', role: 'exhaust', fromDeg: -120, toDeg: 10 },
    }
  }
  const OF_JOBS = [
    ['events', 'events_of_job'],
    ['readings', 'readings_of_job'],
    ['sheets', 'sheets_of_job'],
    ['job_tasks', 'job_tasks_of_job'],
  ] as const
  /** What the last migrations made, taken away again. */
  const UNDO = [
    'ALTER TABLE people ADD UNIQUE people_sign_in (sign_in), DROP KEY people_signs_in, DROP KEY people_by_sign_in, DROP COLUMN runs_server',
    'ALTER TABLE shops DROP COLUMN short_name, DROP COLUMN host, DROP COLUMN most_people, DROP COLUMN most_photo_mb, DROP COLUMN closed_at, DROP COLUMN goes_at',
    'DROP TABLE installation, shop_log, page_photos, trusted_devices',
    'ALTER TABLE people DROP COLUMN ended_at, DROP COLUMN code_hash, DROP COLUMN code_until, DROP COLUMN unit',
    'ALTER TABLE people DROP COLUMN pin_hash',
    'ALTER TABLE people DROP COLUMN hands',
    'ALTER TABLE photos DROP FOREIGN KEY photos_of_job',
    ...['engine_models', 'machines', 'customers'].map(table => `ALTER TABLE ${table} DROP COLUMN quick`),
    ...OF_JOBS.map(([table, key]) => `ALTER TABLE ${table} DROP FOREIGN KEY ${key}`),
    'ALTER TABLE jobs MODIFY id INT UNSIGNED NOT NULL AUTO_INCREMENT',
    ...OF_JOBS.map(([table]) => `ALTER TABLE ${table} MODIFY job_id INT UNSIGNED NOT NULL`),
    ...OF_JOBS.map(
      ([table, key]) =>
        `ALTER TABLE ${table} ADD CONSTRAINT ${key} FOREIGN KEY (shop_id, job_id) REFERENCES jobs (shop_id, id)`,
    ),
    'ALTER TABLE shops DROP COLUMN language',
    'ALTER TABLE people DROP COLUMN language',
    'ALTER TABLE customers DROP COLUMN language',
    'ALTER TABLE machines DROP COLUMN decompressor',
    'ALTER TABLE engine_models DROP COLUMN decompressor',
    'DROP TABLE sessions, sign_in_tries, asked_once',
    'ALTER TABLE events DROP COLUMN seen_device_seq',
    'DROP TABLE calendar_addresses, reminders, machine_due, valve_drifts, photos, past_visits, machine_records, meter_readings, job_tasks',
    'ALTER TABLE shops DROP COLUMN board_version, DROP COLUMN valve_minutes, DROP COLUMN task_minutes',
    'ALTER TABLE jobs DROP FOREIGN KEY jobs_assigned, DROP KEY jobs_assigned, DROP KEY jobs_closed, DROP COLUMN assigned_to, DROP COLUMN board_place',
    'ALTER TABLE machines DROP COLUMN plate, DROP KEY machines_name',
    'ALTER TABLE customers DROP COLUMN email, DROP KEY customers_name',
    'DROP TABLE practice_runs',
    'DROP TABLE api_tokens, spec_import_headings, spec_import_rows, spec_import_chunks, spec_imports, gram_counts, model_grams',
    'ALTER TABLE spec_revisions DROP FOREIGN KEY spec_revisions_sender, DROP COLUMN reason, DROP COLUMN based_on, DROP COLUMN answered, DROP COLUMN approval_reason, DROP COLUMN sent_back_by, DROP COLUMN sent_back_at, DROP COLUMN sent_back_reason',
    'ALTER TABLE engine_models DROP KEY engine_models_key, DROP KEY engine_models_years, DROP COLUMN model_key, DROP COLUMN family, DROP COLUMN displacement_cc, DROP COLUMN year_from, DROP COLUMN year_to, DROP COLUMN in_force_id',
    'ALTER TABLE shops DROP COLUMN target, DROP COLUMN blade_habit, DROP COLUMN pair_to_prove',
    'ALTER TABLE people DROP COLUMN favourite_blade_set_id',
    'ALTER TABLE blade_sets DROP COLUMN blades',
    'ALTER TABLE readings DROP COLUMN person_id',
    'DROP TABLE wrenches, adapters, shim_stock',
    'DELETE FROM schema_migrations WHERE version > 4',
  ]
  it('a shop from before the last migrations keeps every row; its sets are plain, who measured is learned again, its models are found', async () => {
    const { person } = shops[0]!
    const connection = await createConnection(migrationSettings())
    const rows = async () =>
      (
        await many(
          pool,
          'SELECT (SELECT COUNT(*) FROM events) AS events, (SELECT COUNT(*) FROM jobs) AS jobs, (SELECT COUNT(*) FROM spec_revisions) AS specs, (SELECT COUNT(*) FROM shops) AS shops',
        )
      )[0]
    // jobs that began on a device have no place in the tables of then: other tests may have left some
    for (const [table] of OF_JOBS) await connection.query(`DELETE FROM ${table} WHERE job_id < 0`)
    await connection.query('DELETE FROM photos WHERE job_id < 0')
    await connection.query('DELETE FROM meter_readings WHERE source_id < 0')
    await connection.query('DELETE FROM jobs WHERE id < 0')
    const before = await rows()
    const readings = await many<{ id: string }>(pool, 'SELECT valve_id AS id FROM readings WHERE shop_id = ?', [
      person.shopId,
    ])
    for (const undo of UNDO) await connection.query(undo)
    await connection.end()
    expect(await migrate(migrationSettings(), process.cwd())).toEqual([
      'shelf-and-locks',
      'spec-book',
      'practice',
      'memory',
      'seen-on-the-device',
      'sessions',
      'sign-in-tries',
      'asked-once',
      'proof-by-interval',
      'decompressor-found',
      'languages',
      'practice-drills',
      'shop-language',
      'quick-jobs',
      'page-photos',
      'change-of-hands',
      'people-and-log',
      'installation',
      'signed-in-devices',
      'several-shops',
    ])
    await indexOlderModels(pool)
    expect((await searchModels(pool, person.shopId, { q: 'test m', limit: 5 })).rows).toMatchObject([
      { maker: 'Test', model: 'M', key: 'test-m', status: 'approved', revision: 1 },
    ])
    expect((await bladeSetsOfShop(pool, person.shopId))[0]!.blades).toEqual(
      [0.05, 0.08, 0.1, 0.12, 0.15].map(plainBlade),
    )
    await rebuildReadings(pool)
    expect(await many(pool, 'SELECT valve_id AS id FROM readings WHERE shop_id = ?', [person.shopId])).toEqual(readings)
    expect(
      await many(pool, 'SELECT person_id AS personId FROM readings WHERE shop_id = ? GROUP BY person_id', [
        person.shopId,
      ]),
    ).toEqual([{ personId: person.id }])
    expect(await rows()).toEqual(before)
    expect(await shopById(pool, person.shopId)).toMatchObject({
      favouriteSchool: null,
      target: 'middle',
      bladeHabit: 'out at torque',
      pairToProve: false,
    })
  })
  it('a job that was opened then is read, goes on and makes its sheet', async () => {
    const { person, jobId } = await makeShop()
    await say(person, jobId, trial(0.1, 'free'))
    const { pin } = await one<{ pin: string }>(pool, 'SELECT pin FROM jobs WHERE id = ?', [jobId])
    const { school: _, otherSets: __, wrenches: ___, locks: ____, target: _____, ...old } = JSON.parse(pin)
    await change(pool, 'UPDATE jobs SET pin = ? WHERE id = ?', [
      JSON.stringify({
        ...old,
        bladeSet: { name: 'A', unit: 'mm', bladesMm: [0.05, 0.08, 0.1, 0.12, 0.15] },
        spec: { ...old.spec, engine: asItWas(old.spec.engine) },
      }),
      jobId,
    ])
    const read = await readJob(pool, person.shopId, jobId, 0, new Date())
    expect(read.pin).toMatchObject({
      school: null,
      decompressor: null,
      otherSets: [],
      locks: [],
      target: 'middle',
      bladeSet: { blades: [{ mm: 0.05, measuredMm: null, condition: 'good', stepMm: null }, {}, {}, {}, {}] },
      spec: { engine: { camMarks: [], makersStops: [], decompressor: { cylinderId: null } } },
    })
    expect(read.pin.spec.engine.valves.every(v => v.adjuster === 'screw')).toBe(true)
    await say(person, jobId, trial(0.15, 'no-go'))
    expect((await readSheet(pool, person.shopId, jobId, new Date())).sheet.valves).toHaveLength(2)
    expect((await bayOf(pool, person.shopId, new Date())).cards).toHaveLength(1)
  })
  it('a model that was added then is read as it was meant', async () => {
    const { person } = await makeShop()
    await change(pool, 'UPDATE spec_revisions SET engine = ? WHERE shop_id = ?', [
      JSON.stringify(asItWas(engineOf())),
      person.shopId,
    ])
    const { id } = await one<{ id: number }>(pool, 'SELECT id FROM engine_models WHERE shop_id = ?', [person.shopId])
    expect((await modelById(pool, person.shopId, id))?.engine).toEqual(
      engineOf({ decompressor: { kind: 'arc', role: 'exhaust', fromDeg: -120, toDeg: 10, cylinderId: null } }),
    )
  })
})

describe('opening a job', () => {
  it('pins what was left last time, and what the spec said then', async () => {
    const { person, jobId } = await makeShop()
    for (const h of [
      trial(0.1, 'drag'),
      { type: 'prove-turned', payload: { turns: 2, to: { kind: 'mark', markIndex: 0 } } },
      trial(0.12, 'drag'),
      { type: 'closed', payload: {} },
    ] as Happening[])
      await say(person, jobId, h)
    const { machineId } = await one<{ machineId: number }>(
      pool,
      'SELECT machine_id AS machineId FROM jobs WHERE id = ?',
      [jobId],
    )
    const { id: bladeSetId } = await one<{ id: number }>(pool, 'SELECT id FROM blade_sets WHERE shop_id = ?', [
      person.shopId,
    ])
    const { id } = await openJob(
      pool,
      person,
      { machineId, bladeSetId, meter: 12, meterReplaced: false, complaint: '' },
      new Date(),
    )
    const { pin } = await readJob(pool, person.shopId, id, 0, new Date())
    expect(pin.lastAsLeft?.readings).toEqual({ exhaust: { loMm: 0.12, hiMm: 0.135 } })
    expect(pin).toMatchObject({
      number: 402,
      machine: { meter: 12, lastMeter: 10 },
      spec: { revision: 1, status: 'approved' },
      judgementVersion: JUDGEMENT_VERSION,
    })
  })
})

describe('live', () => {
  it('tells every listener of the shop, and no other, that a job moved on', async () => {
    const [ours, theirs] = [await makeShop(), await makeShop()]
    const newsOf = (lines: string) => [...lines.matchAll(/^data: (.+)$/gm)].map(m => JSON.parse(m[1]!) as News)
    const heard: News[] = []
    const elsewhere: unknown[] = []
    const stops = [
      listen(pool, ours.person.shopId, lines => heard.push(...newsOf(lines))),
      listen(pool, theirs.person.shopId, c => elsewhere.push(c)),
    ]
    await new Promise(resolve => setTimeout(resolve, 300))
    await say(ours.person, ours.jobId, trial(0.1, 'drag'))
    await expect.poll(() => heard.filter(n => 'jobId' in n)).toEqual([{ jobId: ours.jobId, seq: 1 }])
    expect(elsewhere).toEqual([])
    stops.forEach(stop => stop())
  })
})

describe('passwords and days', () => {
  it('a password matches its own hash only, and two hashes of it differ', async () => {
    const [a, b] = [await hashPassword('blade 0.10'), await hashPassword('blade 0.10')]
    expect(a).not.toBe(b)
    expect([
      await passwordMatches('blade 0.10', a),
      await passwordMatches('blade 0.11', a),
      await passwordMatches('x', ''),
    ]).toEqual([true, false, false])
  })
  it.each([
    ['2026-11-25T03:00:00.500Z', 'Etc/UTC', '2026-11-25T00:00:00.000Z'],
    ['2026-11-25T03:00:00.000Z', 'America/New_York', '2026-11-24T05:00:00.000Z'],
    // days on which clocks are changed, north and south (IANA time zone database)
    ['2026-03-29T12:00:00.000Z', 'Europe/Berlin', '2026-03-28T23:00:00.000Z'],
    ['2026-10-25T12:00:00.000Z', 'Europe/Berlin', '2026-10-24T22:00:00.000Z'],
    ['2026-03-08T20:00:00.000Z', 'America/New_York', '2026-03-08T05:00:00.000Z'],
    ['2026-11-01T20:00:00.000Z', 'America/New_York', '2026-11-01T04:00:00.000Z'],
    ['2026-10-04T08:00:00.000Z', 'Australia/Sydney', '2026-10-03T14:00:00.000Z'],
    ['2026-04-05T08:00:00.000Z', 'Australia/Sydney', '2026-04-04T13:00:00.000Z'],
  ])('the day of %s in %s began at %s', (now, zone, start) => {
    expect(startOfDay(new Date(now), zone).toISOString()).toBe(start)
  })
})
