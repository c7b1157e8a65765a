import { describe, expect, it } from 'vitest'
import { engineOf } from '../../tests/support/builders'
import { twinOf } from '../../tests/support/engines'
import { found, ready, said, T, trial } from '../../tests/support/job-book'
import { withDecompressor } from '../engine'
import { planStops, schoolsFor } from '../stops'
import type { Happening } from './index'

const UNKNOWN = { decompressor: { kind: 'unknown' } } as const
const PAST = { kind: 'rod-drop', cylinderId: 'only', dropMm: 6 } as const
/** A single, nobody knows of a decompressor, found past its top. */
const pastTop = () =>
  ready(said(engineOf(UNKNOWN))).say({
    type: 'crank',
    payload: {
      observations: [
        { kind: 'move', to: T },
        { kind: 'rocker', valveId: 'intake', slack: true },
        { kind: 'rocker', valveId: 'exhaust', slack: false },
        { kind: 'move', to: PAST },
        { kind: 'rocker', valveId: 'intake', slack: true },
        { kind: 'rocker', valveId: 'exhaust', slack: true },
      ],
    },
  })
const overToTheTop: Happening = { type: 'prove-turned', payload: { turns: 2, to: T } }

describe('a decompressor that nobody recorded', () => {
  it.each([360, 180, 270, 450, 405])(
    'is planned for on a twin firing at %d°, by every school: no exhaust is measured where it might hold',
    laterDeg => {
      const engine = twinOf(laterDeg, UNKNOWN)
      for (const school of schoolsFor(engine))
        for (const stop of planStops(engine, school).stops)
          for (const { valveId } of stop.valves) {
            const valve = engine.valves.find(v => v.id === valveId)!
            if (valve.role !== 'exhaust') continue
            const local =
              (stop.crankDeg - engine.cylinders.find(c => c.id === valve.cylinderId)!.firingAngleDeg + 1440) % 720
            // the default arc, −120 to 10°, with the usual margin
            expect(local >= 20 && local <= 590, `${school} ${valveId} at ${local}°`).toBe(true)
          }
    },
  )
  it('is not looked for where the source itself measures at the top or at the maker’s stops', () => {
    for (const kind of ['top', 'makers stops'] as const)
      expect(withDecompressor({ ...engineOf(UNKNOWN), measuredAt: { kind } }, null).decompressor.kind).toBe('none')
    const engine = withDecompressor({ ...engineOf(UNKNOWN), measuredAt: { kind: 'top' } }, null)
    expect(planStops(engine, 'marks').stops.map(s => s.place.kind)).toEqual(['mark'])
  })
  it('where the source measures past the top, its own place is the place', () => {
    const engine = { ...engineOf(UNKNOWN), measuredAt: { kind: 'past top', dropMm: 8 } as const }
    for (const school of ['marks', 'rod', 'watching'] as const)
      expect(
        planStops(engine, school).stops.map(s => s.place),
        school,
      ).toEqual([{ kind: 'rod-drop', cylinderId: 'only', dropMm: 8 }])
  })
  it('is tested by one blade on the turn that proves it anyway; with none the top is used again', () => {
    const book = pastTop().say(trial('intake', 0.1, 'drag'), trial('exhaust', 0.12, 'drag'))
    expect(book.next().instruction).toBe('Turn it over two full turns, back to T')
    book.say(overToTheTop)
    expect(book.next().instruction).toBe('Here at the top, try 0.12 in the exhaust')
    book.say(book.next().keys[0]!.happening!)
    expect(book.view().model.plan.stops.map(s => s.place.kind)).toEqual(['mark'])
    expect(book.next()).toMatchObject({ step: 'prove', trial: { valveId: 'intake' } })
  })
  it('with one there it is measured past the top from then on', () => {
    const book = pastTop().say(trial('intake', 0.1, 'drag'), trial('exhaust', 0.12, 'drag'), overToTheTop)
    book.say(book.next().keys[1]!.happening!)
    expect(book.view().pin.spec.engine.decompressor.kind).toBe('arc')
    expect(book.view().model.plan.stops.every(s => s.place.kind === 'rod-drop')).toBe(true)
  })
  it('what an earlier job found out is not asked again', () => {
    const book = ready(said(engineOf(UNKNOWN), { decompressor: 'none' }))
    expect(book.view().model.plan.stops.map(s => s.place.kind)).toEqual(['mark'])
  })
})

describe('an engine that kicks, though its record has no decompressor', () => {
  const proved = (complaint: string) =>
    found(said(engineOf(), { complaint })).say(
      trial('intake', 0.1, 'drag'),
      trial('exhaust', 0.12, 'drag'),
      overToTheTop,
      trial('intake', 0.1, 'drag'),
      trial('exhaust', 0.12, 'drag'),
    )
  it.each(['Kicks back', 'hard to start when cold', 'It pulls too hard', 'Won’t start'])(
    '“%s”: its exhaust is read at a second place before the cover goes on',
    complaint => {
      const book = proved(complaint)
      expect(book.next().instruction).toBe('Turn until the piston is 6 mm past top')
      book.say(book.next().keys[0]!.happening!)
      // 0.12 dragged at the top: up to 0.135 there, so that 0.15 goes only if something held the valve
      expect(book.next().instruction).toBe('Past the top, try 0.15 in the exhaust')
      book.say(book.next().keys[0]!.happening!)
      expect(book.next().step).toBe('close')
    },
  )
  it('that goes past the top is proved there, and set there when it is loose', () => {
    const book = proved('kick-back')
    book.say(book.next().keys[0]!.happening!)
    book.say(book.next().keys[1]!.happening!)
    expect(book.view().model.plan.stops.every(s => s.place.kind === 'rod-drop')).toBe(true)
    expect(book.next().instruction).toBe('Wiggle both rockers')
    book.say(book.next().keys[0]!.happening!)
    expect(book.next()).toMatchObject({ step: 'prove', trial: { valveId: 'exhaust' } })
    book.say(trial('exhaust', 0.2, 'free'))
    expect(book.next().instruction).toBe('Loosen the exhaust locknut')
  })
  it('a source that measures at the top means its figure for the top', () => {
    const atTop = engineOf({ measuredAt: { kind: 'top' } })
    const book = found(said(atTop, { complaint: 'kick-back' })).say(
      trial('intake', 0.1, 'drag'),
      trial('exhaust', 0.12, 'drag'),
      overToTheTop,
      trial('intake', 0.1, 'drag'),
      trial('exhaust', 0.12, 'drag'),
    )
    expect(book.next().step).toBe('close')
  })
  it.each(['ticks when warm', 'kickstart lever bent', 'kick-stand spring'])('“%s” asks for nothing more', complaint =>
    expect(proved(complaint).next().step).toBe('close'),
  )
  /** Nothing goes into the exhaust at the top, down to the thinnest blade. */
  function nothingGoes(complaint = 'due') {
    const book = found(said(engineOf(), { complaint })).say(trial('intake', 0.1, 'drag'))
    for (let next = book.next(); next.trial; next = book.next())
      book.say(trial('exhaust', next.trial.stack.totalMm, 'no-go'))
    return book
  }
  it('an exhaust into which nothing goes at the top is read past it before its nut is loosened', () => {
    const book = nothingGoes()
    expect(book.next()).toMatchObject({
      instruction: 'Turn until the piston is 6 mm past top',
      why: expect.stringContaining('No blade goes into the exhaust here, and the spec lists no decompressor.'),
    })
    book.say(book.next().keys[0]!.happening!)
    expect(book.next().instruction).toMatch(/^Past the top, try 0.0\d in the exhaust$/)
    book.say(book.next().keys[1]!.happening!)
    // it goes: what was found at the top was the decompressor, and the exhaust is found anew here
    expect(book.view().state.valves.find(v => v.valveId === 'exhaust')!.readings).toEqual([])
    book.say(book.next().keys[0]!.happening!)
    expect(book.next()).toMatchObject({ step: 'measure', trial: { valveId: 'exhaust' } })
    book.say(trial('exhaust', 0.12, 'drag'))
    expect(book.next().step).toBe('prove')
  })
  it('one that has no clearance there either is set, and is not asked about again', () => {
    const book = nothingGoes()
    book.say(book.next().keys[0]!.happening!)
    book.say(book.next().keys[0]!.happening!)
    expect(book.view().model.plan.stops.map(s => s.place.kind)).toEqual(['mark'])
    for (let i = 0; i < 4 && book.next().step === 'find'; i++) book.say(book.next().keys[0]!.happening!)
    expect(book.next().instruction).toBe('Loosen the exhaust locknut')
  })
  it('is not looked for past a top that may be the other stroke’s: the place is found again first', () => {
    const book = nothingGoes().say({ type: 'crank', payload: { observations: [{ kind: 'lost' }] } })
    expect(book.next()).toMatchObject({ step: 'find', instruction: expect.stringMatching(/T lines up|Wiggle/) })
  })
  it('on a twin it is read past the top of its own cylinder, while the crank is there', () => {
    const twin = twinOf(180)
    const book = ready(said(twin, { complaint: 'kick-back' }))
    const asked: string[] = []
    for (let i = 0; i < 60 && book.next().step !== 'close'; i++) {
      const next = book.next()
      asked.push(next.instruction)
      if (next.trial) book.say(trial(next.trial.valveId, 0.12, 'drag'))
      else book.say(next.keys[0]!.happening!)
      if (next.instruction.startsWith('Past the top')) break
    }
    const at = asked.findIndex(a => a.includes('6 mm past top'))
    const proof = asked.slice(
      asked.findIndex(a => a.startsWith('Turn it over')),
      at,
    )
    expect(asked.at(-1)).toMatch(/^Past the top, try .* in the (left|right) exhaust$/)
    // asked at the first stop that is proved, before the crank goes on to the other
    expect(proof.filter(a => /lines up|Wiggle/.test(a)).length).toBeLessThanOrEqual(2)
    const side = asked[at]!.includes('left') ? 'left' : 'right'
    expect(proof.at(-1)).toContain(`${side} exhaust`)
  })
  it('one that is tight and lets a blade in is set at once, but where the engine kicks', () => {
    const tight = (complaint: string) =>
      found(said(engineOf(), { complaint })).say(
        trial('intake', 0.1, 'drag'),
        trial('exhaust', 0.1, 'no-go'),
        trial('exhaust', 0.08, 'drag'),
      )
    expect(tight('due').next().instruction).toBe('Loosen the exhaust locknut')
    expect(tight('kicks back').next().instruction).toBe('Turn until the piston is 6 mm past top')
  })
  it('on several cylinders no exhaust stays proved by its top: the same may hold them all', () => {
    const twin = twinOf(360)
    const exhausts = twin.valves.filter(v => v.role === 'exhaust').map(v => v.id)
    const book = ready(said(twin, { complaint: 'kick-back' })).say(overToTheTop)
    for (const { id } of twin.valves) book.say(trial(id, 0.12, 'drag'))
    book.say({ type: 'decompressor-tested', payload: { valveId: exhausts[0]!, there: true, bladesMm: [0.15] } })
    const { valves } = book.view().state
    const proved = valves.filter(v => v.readings.some(r => r.phase === 'proved')).map(v => v.valveId)
    expect(proved).toEqual(twin.valves.filter(v => v.role === 'intake').map(v => v.id))
  })
})

describe('a locked valve that reads differently at two places', () => {
  const proved = () => found(said()).say(trial('intake', 0.1, 'drag'), trial('exhaust', 0.12, 'drag'), overToTheTop)
  it('is a matter of the place, never of the screw', () => {
    const book = proved().say(trial('intake', 0.08, 'pinched'), trial('intake', 0.07, 'drag'))
    const next = book.next()
    expect(next).toMatchObject({ step: 'find', instruction: 'Leave the intake screw alone: it reads differently here' })
    expect(next.keys.map(k => k.title)).toEqual(['Find it again', 'Another method', 'Continue'])
  })
  it('an exhaust that reads tighter at its top may be held there by what the record denies', () => {
    const book = proved().say(
      trial('intake', 0.1, 'drag'),
      trial('exhaust', 0.08, 'pinched'),
      trial('exhaust', 0.07, 'drag'),
    )
    expect(book.next().keys[0]!.title).toBe('A decompressor holds it open')
  })
  /** In at its tight limit, and refused there now: 0.09 would be the screw’s doing, 0.08 refused is the place’s. */
  const refusedNow = () =>
    found(said()).say(
      trial('intake', 0.1, 'drag'),
      trial('exhaust', 0.1, 'drag'),
      overToTheTop,
      trial('intake', 0.1, 'drag'),
      trial('exhaust', 0.1, 'no-go'),
    )
  it('tight here and in before: one blade more tells the place from the screw, before a nut is loosened', () => {
    const book = refusedNow()
    expect(book.next()).toMatchObject({ step: 'measure', instruction: 'Try 0.08 in the exhaust' })
    book.say(trial('exhaust', 0.08, 'no-go'))
    expect(book.next().instruction).toBe('Leave the exhaust screw alone: it reads differently here')
  })
  it('tight here by no more than blades may be off is a matter of the screw', () => {
    const book = refusedNow().say(trial('exhaust', 0.08, 'free'))
    expect(book.next()).toMatchObject({ step: 'set', instruction: 'Loosen the exhaust locknut' })
  })
  it('by no more than the blades may be off, says nothing', () => {
    const book = proved().say(trial('intake', 0.09, 'drag'))
    expect(book.next().step).toBe('prove')
  })
})
