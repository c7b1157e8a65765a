import { describe, expect, it } from 'vitest'
import { engineOf, setOf } from '../../tests/support/builders'
import { found, limits, said, trial } from '../../tests/support/job-book'
import { tellEnglish } from '../../words'
import { aimOf } from './aim'
import type { GapChange, Happening } from './index'
import { nutShift } from './lock-learning'

const screw = (deg: number): GapChange => ({ kind: 'screw', deg })
const nipped: GapChange = { kind: 'nipped' }
const torqued = { kind: 'torqued', torqueNm: 8 } as const
const free: Happening = { type: 'nut-loosened', payload: { valveId: 'exhaust' } }
/** The exhaust is tight and its nut is free. */
const atTheScrew = (...changes: Parameters<typeof said>) =>
  found(said(...changes)).say(
    trial('intake', 0.1, 'drag'),
    trial('exhaust', 0.07, 'no-go'),
    trial('exhaust', 0.06, 'drag'),
    free,
  )
const degOf = (book: ReturnType<typeof said>): number => {
  const after = book.next().trial?.after
  return after?.kind === 'screw' ? after.deg : Number.NaN
}

describe('a turn', () => {
  it('on a guess is a flat at most, and doubles only one way and only in vain', () => {
    const book = found(said()).say(trial('intake', 0.1, 'drag'), trial('exhaust', 0.03, 'no-go'), free)
    const turns: number[] = []
    for (let i = 0; i < 6; i++) {
      const deg = degOf(book)
      if (Number.isNaN(deg)) break
      turns.push(deg)
      book.say(trial('exhaust', 0.12, 'no-go', screw(deg)))
      if (book.next().instruction.startsWith('Is that'))
        book.say({ type: 'screw-checked', payload: { valveId: 'exhaust', found: 'right' } })
    }
    // the first is what the blade proves: from under 0.03 to 0.1275 is 0.0975 mm, 46.8°
    expect(turns[0]).toBe(-45)
    expect(turns.slice(1).every(deg => deg < 0 && deg >= -60)).toBe(true)
  })
  it('opens a screw for a refused blade by what valves lack at most, whoever says that it is the right one', () => {
    const book = found(said()).say(trial('intake', 0.1, 'drag'), trial('exhaust', 0.03, 'no-go'), free)
    let opened = 0
    for (let i = 0; i < 12 && book.next().step === 'set'; i++) {
      const asked = book.next().trial
      if (!asked) book.say({ type: 'screw-checked', payload: { valveId: 'exhaust', found: 'right' } })
      else {
        opened -= asked.after?.kind === 'screw' ? asked.after.deg : 0
        book.say(trial('exhaust', asked.stack.totalMm, 'no-go', asked.after ?? undefined))
      }
    }
    expect(book.next().step).toBe('find')
    // a pitch of 0.75 mm: the blade of 0.03 that was refused at first, and 0.15 more, are 0.18 mm, 86°; a hand turns
    // in fives
    expect(opened).toBeGreaterThanOrEqual(80)
    expect(opened).toBeLessThanOrEqual(90)
  })
  it('that should have opened the gap is checked with the blade that was refused before it', () => {
    const book = atTheScrew()
    const thin = book.next().trial
    book.say(trial('exhaust', 0.12, 'no-go', screw(-50)))
    const telltale = book.next().trial!
    expect([telltale.after, telltale.stack.totalMm]).toEqual([null, 0.07])
    expect(thin?.stack.totalMm).toBe(0.12)
    // it goes: the screw works, and the gap has bounds on both sides
    book.say(trial('exhaust', 0.07, 'drag'))
    expect(book.next().trial?.after).toMatchObject({ kind: 'screw' })
    expect(degOf(book)).toBeGreaterThan(-35)
  })
  it('half a flat without change is asked about, and no bigger turn comes before the answer', () => {
    const book = atTheScrew().say(
      trial('exhaust', 0.12, 'no-go', screw(-20)),
      trial('exhaust', 0.12, 'no-go', screw(-30)),
    )
    // the thinner one was refused before: refused again, it is sure
    expect(book.next().instruction).toBe('Try 0.07 in the exhaust now')
    book.say(trial('exhaust', 0.07, 'no-go'))
    expect(book.next().instruction).toBe('Is that the exhaust screw, and does it turn?')
    book.say({ type: 'screw-checked', payload: { valveId: 'exhaust', found: 'spins' } })
    expect(book.next()).toMatchObject({ instruction: 'The exhaust stud turns with its nut', wayOut: true })
  })
  it('half a flat in two turns that a hand rounds is half a flat', () => {
    const book = found(said()).say(
      trial('intake', 0.1, 'drag'),
      trial('exhaust', 0.3, 'free'),
      free,
      trial('exhaust', 0.12, 'free', screw(60)),
      trial('exhaust', 0.12, 'free', screw(10)),
    )
    expect(book.next().trial?.after).toMatchObject({ kind: 'screw' })
    book.say(trial('exhaust', 0.12, 'free', screw(19)))
    expect(book.next().instruction).toBe('Is that the exhaust screw, and does it turn?')
  })
  it('another valve’s screw: this one stands where it stood, and the others are looked at again', () => {
    const book = atTheScrew().say(
      trial('exhaust', 0.12, 'no-go', screw(-20)),
      trial('exhaust', 0.12, 'no-go', screw(-30)),
      { type: 'screw-checked', payload: { valveId: 'exhaust', found: 'other' } },
    )
    const [intake, exhaust] = book.view().state.valves
    expect([exhaust!.screwDeg, intake!.lookAgain]).toEqual([0, true])
  })
})

describe('nip and torque against mechanics worked by hand', () => {
  // The screw’s thread has play across its flanks. Loose, the spring’s push seats the screw on one flank; the locknut
  // pulls it to
  // the other. Axial play of a 6g/6H fit of M6 × 0.75 is about the two pitch-diameter allowances together, tan 30°
  // times as much:
  // (0.022 + 0.075) × tan 30° = 0.056 mm at most, a third of it in a worn-in pair (allowances from memory of ISO 965-1
  // tables).
  const flankMm = ((0.022 + 0.075) * Math.tan(Math.PI / 6)) / 3
  // The torqued nut then stretches the screw between nut and cup: F = T / (0.2 d) (the usual nut factor), 8 N·m on M6:
  // 6.7 kN;
  // over 6 mm of a 20 mm² core, E = 205 GPa, it is 0.010 mm; the nut’s face bears on the rocker with about as much
  // again.
  const forceN = 8 / (0.2 * 0.006)
  const stretchMm = 1000 * ((forceN * 0.006) / (205e9 * 20.1e-6))
  it('they come to what the judgement allows a lock to do', () => {
    expect(flankMm).toBeCloseTo(0.0187, 3)
    expect(stretchMm).toBeCloseTo(0.0097, 3)
  })
  it('a nut that does just so is aimed off by just so in its second round', () => {
    // before the lock 0.120–0.135 by a drag; at the nip the play closes it, at the torque the stretch does
    const at = (mm: number) => Math.round(mm * 1000) / 1000
    const [nip, end] = [0.1275 - flankMm, 0.1275 - flankMm - stretchMm]
    const book = atTheScrew().say(
      trial('exhaust', 0.12, 'drag', screw(-30)),
      trial('exhaust', 0.12, 'no-go', nipped),
      trial('exhaust', 0.1, 'drag'),
      trial('exhaust', 0.1, 'no-go', torqued),
      trial('exhaust', 0.09, 'drag'),
    )
    const { allMm, torqueMm } = nutShift(book.view(), 'exhaust')
    // two readings of a drag each tell within half their widths, ±0.0075 mm
    expect(Math.abs(allMm - (at(end) - 0.1275))).toBeLessThan(0.0075)
    expect(Math.abs(torqueMm - (at(end) - at(nip)))).toBeLessThan(0.0075)
  })
})

describe('what a mechanic says of the locknut', () => {
  const said: Happening = { type: 'aim-off-chosen', payload: { shiftMm: -0.02 } }
  const aim = (book: ReturnType<typeof atTheScrew>) => aimOf(book.view(), book.view().state.valves[1]!)
  it('is aimed off before two locks are on record, and goes again', () => {
    expect(aim(atTheScrew()).shift).toBeNull()
    const told = aim(atTheScrew().say(said))
    expect([told.shift?.shiftMm, tellEnglish(told.by)]).toEqual([-0.02, 'said for this job'])
    expect(told.beforeMm).toBeGreaterThan(aim(atTheScrew()).beforeMm)
    expect(aim(atTheScrew().say(said, { type: 'aim-off-chosen', payload: { shiftMm: null } })).shift).toBeNull()
  })
  it('counts for less once this nut itself was seen', () => {
    const book = atTheScrew().say(
      said,
      trial('exhaust', 0.12, 'drag', screw(-30)),
      trial('exhaust', 0.12, 'drag', nipped),
      trial('exhaust', 0.12, 'drag', torqued),
    )
    // a drag before and after: this nut leaves the gap as it is
    expect(Math.abs(nutShift(book.view(), 'exhaust').allMm)).toBeLessThan(0.01)
  })
})

describe('a nut', () => {
  it('that moves its screw at the nip is aimed off by in the next round, the torque apart', () => {
    const book = atTheScrew().say(
      trial('exhaust', 0.12, 'drag', screw(-30)),
      trial('exhaust', 0.09, 'drag', nipped),
      trial('exhaust', 0.08, 'drag', torqued),
      free,
    )
    const shift = nutShift(book.view(), 'exhaust')
    // 0.1275 to 0.0975 to 0.0875: one round weighs two thirds, against its own two parts weighed likewise
    expect(shift.allMm).toBeCloseTo(-0.04 * (2 / 3) - (0.04 * (2 / 3)) / 3, 3)
    expect(shift.torqueMm).toBeCloseTo(-0.01 * (2 / 3), 3)
    expect(shift.ownRounds).toBe(1)
  })
  it('says something of the other nuts of the job, and less than of itself', () => {
    const book = atTheScrew().say(
      trial('exhaust', 0.12, 'drag', screw(-30)),
      trial('exhaust', 0.09, 'drag', nipped),
      trial('exhaust', 0.09, 'drag', torqued),
    )
    expect(nutShift(book.view(), 'intake').allMm).toBeCloseTo(-0.015, 3)
  })
  it('that left a bare figure loose is not opened further, nor set with the blade that came out loose', () => {
    const engine = engineOf({
      clearance: { intake: limits(0.08, 0.12), exhaust: { form: 'bare', figureMm: 0.14, text: '0.14', unit: 'mm' } },
    })
    const bladeSet = setOf('A', [0.03, 0.04, 0.05, 0.06, 0.08, 0.1, 0.13, 0.15, 0.18, 0.2, 0.25, 0.3])
    const locks = [-0.0125, -0.0125, -0.012, 0.01, -0.012, -0.0125, -0.01].map(shiftMm => ({
      shiftMm,
      personId: 1,
      modelId: 1,
    }))
    const stacked = (bladesMm: number[], feel: 'free' | 'no-go', after: GapChange | null): Happening => ({
      type: 'trial',
      payload: { valveId: 'exhaust', bladesMm, feel, after },
    })
    const book = found(said(engine, { bladeSet, locks })).say(
      trial('intake', 0.1, 'drag'),
      trial('exhaust', 0.13, 'no-go'),
      trial('exhaust', 0.1, 'free'),
      free,
      trial('exhaust', 0.15, 'drag', screw(-20)),
      trial('exhaust', 0.15, 'drag', nipped),
      stacked([0.1, 0.04], 'free', torqued),
      { type: 'mark-checked', payload: { valveId: 'exhaust', still: true } },
      stacked([0.13, 0.04], 'no-go', null),
      free,
    )
    expect(degOf(book)).toBeGreaterThan(0)
    expect(book.next().instruction).toMatch(/^Turn the screw \d+° clockwise, feel 0\.10 \+ 0\.04$/)
  })
  it('that will not stay after four rounds may be left with a reason', () => {
    const book = atTheScrew()
    for (let i = 0; i < 4; i++)
      book.say(
        trial('exhaust', 0.12, 'drag', screw(-20)),
        trial('exhaust', 0.12, 'drag', nipped),
        trial('exhaust', 0.08, 'drag', torqued),
        ...(i < 3 ? [free] : []),
      )
    book.say({ type: 'mark-checked', payload: { valveId: 'exhaust', still: true } })
    expect(book.next()).toMatchObject({ instruction: 'The exhaust won’t stay where you set it', wayOut: true })
  })
})

describe('where no blade shows the aim', () => {
  // 0.062 to 0.072 lies between every blade of this set
  const engine = engineOf({ clearance: { intake: limits(0.08, 0.12), exhaust: limits(0.062, 0.072) } })
  const coarse = { bladeSet: setOf('Coarse', [0.05, 0.1, 0.15, 0.2]) }
  it('it is said before the nut is loosened, with what could', () => {
    const book = found(said(engine, coarse)).say(trial('intake', 0.1, 'drag'), trial('exhaust', 0.1, 'drag'))
    expect(book.next().instruction).toBe('Loosen the exhaust locknut')
    expect(book.next().why).toMatch(/No blade or stack in Coarse can prove this spec.*screw’s angle.*finer set/)
  })
  it('it is set by the screw’s angle, and what that says is an estimate on the way out', () => {
    const book = found(said(engine, coarse)).say(trial('intake', 0.1, 'drag'), trial('exhaust', 0.1, 'drag'), free)
    // a true gap of 0.1075, and the screw of this engine: 480° a mm
    let gapMm = 0.1075
    for (let i = 0; i < 12 && book.next().trial?.after?.kind === 'screw'; i++) {
      const { stack, after } = book.next().trial!
      gapMm -= (after as { deg: number }).deg / 480
      const spare = gapMm - stack.totalMm
      book.say(
        trial(
          'exhaust',
          stack.totalMm,
          spare >= 0.015 ? 'free' : spare >= 0 ? 'drag' : spare >= -0.01 ? 'pinched' : 'no-go',
          after,
        ),
      )
    }
    expect(gapMm).toBeGreaterThan(0.06)
    expect(gapMm).toBeLessThan(0.074)
    expect(book.next().instruction).toMatch(/nip the nut/)
    book.say(
      trial('exhaust', 0.05, 'free', nipped),
      trial('exhaust', 0.05, 'free', torqued),
      trial('exhaust', 0.1, 'no-go'),
    )
    book.say({ type: 'mark-checked', payload: { valveId: 'exhaust', still: true } })
    expect(book.next()).toMatchObject({ instruction: 'This blade set can’t prove it', wayOut: true })
    expect(book.next().why).toMatch(/The screw’s angle puts it at .*: an estimate\./)
  })
})

it('blades that do not agree, tried again, are not asked for a third time', () => {
  const book = found(said()).say(trial('intake', 0.1, 'free'), trial('intake', 0.08, 'no-go'))
  for (let i = 0; i < 3 && book.next().trial; i++) {
    const mm = book.next().trial!.stack.totalMm
    book.say(trial('intake', mm, mm >= 0.1 ? 'free' : 'no-go'))
  }
  expect(book.next()).toMatchObject({ instruction: 'These blades don’t agree', wayOut: true })
})
