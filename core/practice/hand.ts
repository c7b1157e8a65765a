import { type Place, signedWay } from '../engine'
import type { Stack } from '../feeler'
import type { AnswerKey, Happening, NextThing, Payload } from '../job'
import { movesCrank, type Observation } from '../position'
import { type School, schoolsFor } from '../stops'
import { trueAngle, turnCrank, turnToPlace, turnWhole, watchIntake } from './crank'
import { feelOf } from './feel'
import { type HandErrors, STEADY } from './hand-errors'
import { between, normal, oneOf, type Random } from './random'
import { awayFromPlace, camSignsSeen } from './sight'
import { fitShim, isTrulyClosed, liftedMm, turnScrew, type VirtualEngine, workNut } from './virtual-engine'

/**
 * A valve is seen doing something over an arc, so a hand stops somewhere in it; a rod is read to half a millimetre.
 * From memory.
 */
const SIGHT_SIGMA_DEG = 5
const ROD_SIGMA_DEG = { 'piston-top': 3, 'rod-drop': 1.5 }
/** So near a place it shows: a line by its neighbours, a piston by the rod, a valve by its arc. From memory. */
const SHOWS_WITHIN_DEG = { 'mark': 7, 'piston-top': 8, 'rod-drop': 8, 'valve': 25 }
/** Who takes one line for another does so with one not far off. */
const OTHER_MARK_WITHIN_DEG = 40
/** Who misreads a place altogether stops anywhere about it. */
const ANYWHERE_WITHIN_DEG = 45

/** A hand that overshoots goes on by so much. */
const OVERSHOOT_DEG = 12

/** The reason that a hand gives where it goes through a gate. */
const REASON = 'Owner told; booked in for it'
/** What a hand types for a shim is engraved to a hundredth. */
const hundredths = (mm: number): number => Math.round(mm * 100) / 100

/** A hand at a virtual engine: does what the instruction says and answers what is so, or now and then what is not. */
export class VirtualHand {
  /** Whether the last answer was wrong. */
  lastWrong = false
  constructor(
    readonly virtual: VirtualEngine,
    readonly errors: HandErrors = STEADY(),
  ) {}

  private inFind = false
  /** Other ways of finding stops that it has not tried. */
  private schoolsLeft: School[] | null = null

  private get random(): Random {
    return this.errors.random
  }
  private errs = (): boolean => this.errors.wrongShare > 0 && this.random() < this.errors.wrongShare

  /** Where this hand ends that was told to stop at a place: near it, or by mistake at another line. */
  private offAt(place: Place): number {
    const { reachDeg } = this.errors
    if (this.errs()) {
      this.lastWrong = true
      return this.mistaken(place)
    }
    if (reachDeg === 0) return 0
    return normal(
      this.random,
      place.kind === 'valve'
        ? SIGHT_SIGMA_DEG
        : place.kind === 'piston-top' || place.kind === 'rod-drop'
          ? ROD_SIGMA_DEG[place.kind]
          : reachDeg,
    )
  }

  private mistaken(place: Place): number {
    const { engine } = this.virtual
    const at = trueAngle(this.virtual, place)
    const others =
      place.kind === 'mark'
        ? engine.marks
            .map(m => signedWay(at, m.angleDeg, 360))
            .filter(off => off !== 0 && Math.abs(off) <= OTHER_MARK_WITHIN_DEG)
        : []
    return others.length ? oneOf(this.random, others) : between(this.random, -ANYWHERE_WITHIN_DEG, ANYWHERE_WITHIN_DEG)
  }

  private slack = (valveId: string): boolean =>
    feelOf(this.virtual, { kind: 'rocker', valveId, clicksFromMm: this.errors.clicksFromMm }).slack

  /** Whether an answer that turns nothing is so. */
  private isSo(o: Observation): boolean {
    switch (o.kind) {
      case 'rocker':
        return o.slack === this.slack(o.valveId)
      case 'seen':
        return this.shows(o.place)
      case 'push-rods':
        return (
          o.level ===
          (this.ofCylinder(o.cylinderId).every(id => liftedMm(this.virtual, id) < 0.3) || this.inOverlap(o.cylinderId))
        )
      case 'rocked':
        return o.still === this.ofCylinder(o.cylinderId).every(id => isTrulyClosed(this.virtual, id))
      default:
        return true
    }
  }

  private shows(place: Place): boolean {
    if (place.kind === 'cam-mark') return camSignsSeen(this.virtual).includes(place.camMarkIndex)
    return awayFromPlace(this.virtual, place) < SHOWS_WITHIN_DEG[place.kind]
  }

  private ofCylinder = (cylinderId: string): string[] =>
    this.virtual.engine.valves.filter(v => v.cylinderId === cylinderId).map(v => v.id)
  private inOverlap(cylinderId: string): boolean {
    const lifts = this.ofCylinder(cylinderId).map(id => liftedMm(this.virtual, id))
    return Math.min(...lifts) > 0.3 && Math.max(...lifts) - Math.min(...lifts) < 0.8
  }

  /** Where this hand was last told to stop; it looks whether that still shows. */
  private place: Place | null = null

  private move(o: Observation): void {
    if (o.kind === 'move' || o.kind === 'turns' || o.kind === 'watched') this.place = o.to
    if (o.kind === 'move') turnToPlace(this.virtual, o.to, o.times, this.offAt(o.to))
    if (o.kind === 'turns') turnWhole(this.virtual, o.turns, o.to, this.offAt(o.to))
    if (o.kind === 'watched') watchIntake(this.virtual, o.cylinderId, o.to, this.offAt(o.to))
    if (this.errors.turnsBackShare && this.random() < this.errors.turnsBackShare) {
      turnCrank(this.virtual, OVERSHOOT_DEG)
      turnCrank(this.virtual, -OVERSHOOT_DEG)
    }
  }

  /** Says what is so, or with a slip the contrary of one of the things that an answer says. */
  private say(observations: Observation[]): Observation[] {
    const still = observations.filter(o => !movesCrank(o))
    if (still.length === 0 || !this.errs()) return observations
    this.lastWrong = true
    const slip = oneOf(this.random, still)
    return observations.map(o => (o === slip ? opposite(o) : o))
  }

  private act(happening: Happening): void {
    if (happening.type === 'shim-fitted') fitShim(this.virtual, happening.payload.valveId, happening.payload.mm)
    if (happening.type === 'nut-loosened') workNut(this.virtual, happening.payload.valveId, 'loose')
    if (happening.type === 'screw-checked') this.screwLeft(happening.payload)
    if (happening.type === 'prove-turned' && happening.payload.to)
      this.proveTurn(happening.payload.turns, happening.payload.to)
    if (happening.type === 'crank') happening.payload.observations.forEach(o => this.move(o))
  }

  private screwLeft({ valveId, found }: Payload<'screw-checked'>): void {
    if (found === 'turned back') turnScrew(this.virtual, valveId, -this.virtual.screwDeg[valveId]!)
    if (found === 'turned back' || found === 'spins') workNut(this.virtual, valveId, 'locked')
  }

  private proveTurn(turns: number, to: Place): void {
    this.place = to
    turnWhole(this.virtual, turns, to, this.offAt(to))
  }

  /** Whether a key says what is so. */
  private fits({ happening }: AnswerKey): boolean {
    if (happening?.type === 'crank') return happening.payload.observations.every(o => this.isSo(o))
    if (happening?.type === 'mark-checked')
      return happening.payload.still === (this.place === null || this.shows(this.place))
    if (happening?.type === 'decompressor-tested') {
      const { valveId, bladesMm, there } = happening.payload
      const feel = this.feel(valveId, { engravedMm: bladesMm, totalMm: bladesMm.reduce((a, b) => a + b, 0) })
      const refused = feel === 'pinched' || feel === 'no-go'
      // at the top a blade that went past it is refused; past the top one that was refused at the top goes
      return there === (this.place?.kind === 'rod-drop' ? !refused : refused)
    }
    if (happening?.type === 'screw-checked')
      return (
        happening.payload.found ===
        (this.inFind
          ? 'turned back'
          : this.virtual.nature.spinning.includes(happening.payload.valveId)
            ? 'spins'
            : 'right')
      )
    return happening !== null
  }

  private trial({ valveId, after, stack, set }: NonNullable<NextThing['trial']>): Happening {
    if (after?.kind === 'screw') turnScrew(this.virtual, valveId, after.deg)
    if (after?.kind === 'nipped')
      workNut(this.virtual, valveId, 'nipped', this.virtual.nature.nipScatterMm ? this.random() : 0.5)
    if (after?.kind === 'torqued') workNut(this.virtual, valveId, 'locked', this.random())
    return {
      type: 'trial',
      payload: { valveId, bladesMm: stack.engravedMm, set, feel: this.feel(valveId, stack), after },
    }
  }

  feel(valveId: string, stack: Pick<Stack, 'engravedMm' | 'totalMm'>) {
    const handMm = (2 * this.random() - 1) * this.errors.feelMm
    return feelOf(this.virtual, {
      kind: 'blade',
      valveId,
      engravedMm: stack.engravedMm,
      thickMm: stack.totalMm,
      handMm,
      bands: this.errors.bands,
    }).feel
  }

  /** Does what the instruction says and answers. @throws Error where no key is true */
  answer(next: NextThing): Happening {
    this.lastWrong = false
    this.inFind = next.step === 'find'
    if (next.trial) return this.trial(next.trial)
    if (next.keys.some(k => k.asks === 'shim-read') && 'valveId' in next.stage) {
      const mm = this.virtual.shimMm[next.stage.valveId]!
      return { type: 'shim-read', payload: { valveId: next.stage.valveId, engravedMm: hundredths(mm), measuredMm: mm } }
    }
    const elsewhere = next.keys.some(k => k.happening?.type === 'crank')
    const school =
      !this.errors.keepsToItsWay && !elsewhere && next.keys.some(k => k.asks === 'school')
        ? (this.schoolsLeft ??= schoolsFor(this.virtual.engine)).shift()
        : undefined
    if (school) return { type: 'school-chosen', payload: { school } }
    const key = next.wayOut ? undefined : next.keys.find(k => this.fits(k))
    if (!key && next.requirement && next.keys.some(k => k.asks === 'reason'))
      return {
        type: 'gate-passed',
        payload: { gate: next.requirement.id, missing: next.requirement.missing, reason: REASON },
      }
    if (!key?.happening) throw new Error(`No key fits: ${JSON.stringify(next.instruction)}`)
    this.act(key.happening)
    return key.happening.type === 'crank'
      ? { type: 'crank', payload: { observations: this.say(key.happening.payload.observations) } }
      : key.happening
  }

  /** Feels or looks once more, as the Bench asks where two answers cannot both be so. */
  again(o: Observation): Happening {
    this.lastWrong = false
    return { type: 'crank', payload: { observations: this.say([this.isSo(o) ? o : opposite(o)]) } }
  }
}

/** The other answer to the same question; what has more than two stays. */
function opposite(o: Observation): Observation {
  switch (o.kind) {
    case 'rocker':
      return { ...o, slack: !o.slack }
    case 'push-rods':
      return { ...o, level: !o.level }
    case 'rocked':
      return { ...o, still: !o.still }
    case 'thumb':
      return { ...o, pressure: !o.pressure }
    default:
      return o
  }
}
