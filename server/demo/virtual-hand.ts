import { type Place, wrap } from '../../core/engine'
import type { Feel } from '../../core/feeler'
import { type Happening, nextThing, type NextThing, type JobView } from '../../core/job'
import type { Observation } from '../../core/position'

type Role = 'intake' | 'exhaust'

/** The hidden truth of an engine, by its own kinematics and not by the core's. Angles in degrees, gaps in mm. */
export interface Truth {
  crankDeg: number
  strokeMm: number
  rodMm: number
  /** Cycle angle of each cylinder's compression TDC, by its id. */
  fires: Record<string, number>
  valves: Record<string, { cylinderId: string, role: Role }>
  /** Where each flywheel mark meets the pointer, and where each cam sign is right, in the order of the engine's data. */
  marksDeg: number[]
  camMarksDeg: number[]
  /** Base circle by local angle, and where a valve is seen opening, fully down and just closed, written out by hand. */
  closed: Record<Role, [number, number]>
  opens: Record<Role, number>
  /** Where a decompressor holds the exhaust, by local angle, and on which cylinder; on each when null. */
  held: [number, number] | null
  heldOn: string | null
  /** By valve id. */
  gapMm: Record<string, number>
  degPerMm: number
  /** The shims in shimmed valves, by valve id, mm. */
  shimMm?: Record<string, number>
  /** How far the gap moves when the nut is locked. */
  creepMm: number
}

const within = ([from, to]: [number, number], deg: number): boolean => wrap(deg - from) < wrap(to - from)

/** A hand at a virtual engine: turns it, feels it, and picks the key that is true. */
export class VirtualHand {
  private readonly locked = new Map<string, boolean>()
  constructor(readonly truth: Truth) {}

  private closed(valveId: string): boolean {
    const { closed, held, heldOn, crankDeg, valves, fires } = this.truth
    const { cylinderId, role } = valves[valveId]!
    const local = crankDeg - fires[cylinderId]!
    return within(closed[role], local) && !(role === 'exhaust' && held && (heldOn === null || heldOn === cylinderId) && within(held, local))
  }

  private slack = (valveId: string): boolean => this.closed(valveId) && this.truth.gapMm[valveId]! > 0

  private dropDeg(dropMm: number): number {
    const a = this.truth.strokeMm / 2
    for (let deg = 0; deg < 180; deg += 0.01) {
      const r = deg * Math.PI / 180
      if (a * (1 - Math.cos(r)) + this.truth.rodMm - Math.sqrt(this.truth.rodMm ** 2 - (a * Math.sin(r)) ** 2) >= dropMm) return deg
    }
    throw new RangeError('never that far down')
  }

  private angleOf(place: Place): number {
    const { fires, marksDeg, camMarksDeg, valves, closed, opens } = this.truth
    switch (place.kind) {
      case 'mark': return marksDeg[place.markIndex]!
      case 'cam-mark': return camMarksDeg[place.camMarkIndex]!
      case 'piston-top': return fires[place.cylinderId]!
      case 'rod-drop': return fires[place.cylinderId]! + this.dropDeg(place.dropMm)
      case 'valve': {
        const { cylinderId, role } = valves[place.valveId]!
        const shuts = closed[role][0] + 720
        return fires[cylinderId]! + (place.sight === 'just closed' ? shuts : place.sight === 'fully open' ? (shuts + closed[role][1]) / 2 : opens[role])
      }
    }
  }

  private readonly period = (place: Place): number => place.kind === 'cam-mark' || place.kind === 'valve' ? 720 : 360

  /** Whole turns, then to the place nearest to where they end. */
  private turnWhole(turns: number, place: Place): void {
    const [at, period] = [this.angleOf(place), this.period(place)]
    this.truth.crankDeg = wrap(at + period * Math.round((this.truth.crankDeg + 360 * turns - at) / period))
  }

  private turnTo(place: Place, times = 1): void {
    const period = this.period(place)
    this.truth.crankDeg = wrap(this.truth.crankDeg + 7 + wrap(this.angleOf(place) - this.truth.crankDeg - 7, period) + (times - 1) * period)
  }

  /** On past the shutting of a cylinder's intake, then to the place. */
  private watch(cylinderId: string, place: Place): void {
    const shuts = this.truth.fires[cylinderId]! + this.truth.closed.intake[0]
    this.truth.crankDeg = wrap(shuts + wrap(this.angleOf(place) - shuts, this.period(place)))
  }

  feel(valveId: string, bladeMm: number): Feel {
    const gap = this.closed(valveId) ? this.truth.gapMm[valveId]! : -1
    return gap < bladeMm - 0.01 ? 'no-go' : gap < bladeMm ? 'pinched' : gap < bladeMm + 0.015 ? 'drag' : 'free'
  }

  private observe(o: Observation): boolean {
    if (o.kind === 'rocker') return o.slack === this.slack(o.valveId)
    return true
  }

  /** A thicker shim takes up as much of the gap. */
  private fitShim({ valveId, mm }: { valveId: string, mm: number }): void {
    const shims = this.truth.shimMm ??= {}
    this.truth.gapMm[valveId]! += (shims[valveId] ?? 2.4) - mm
    shims[valveId] = mm
  }

  private act(happening: Happening): void {
    if (happening.type === 'shim-fitted') this.fitShim(happening.payload)
    if (happening.type === 'prove-turned' && happening.payload.to) this.turnWhole(happening.payload.turns, happening.payload.to)
    if (happening.type !== 'crank') return
    for (const o of happening.payload.observations) {
      if (o.kind === 'move') this.turnTo(o.to, o.times)
      if (o.kind === 'turns') this.turnWhole(o.turns, o.to)
      if (o.kind === 'watched') this.watch(o.cylinderId, o.to)
    }
  }

  /** Does what the instruction says and answers truly. */
  answer(next: NextThing): Happening {
    if (next.trial) {
      const { valveId, after, stack, set } = next.trial
      if (after?.kind === 'screw') {
        this.truth.gapMm[valveId]! -= after.deg / this.truth.degPerMm
        this.locked.set(valveId, false)
      }
      if (after?.kind === 'torqued' && this.locked.get(valveId) === false) {
        this.truth.gapMm[valveId]! += this.truth.creepMm
        this.locked.set(valveId, true)
      }
      return { type: 'trial', payload: { valveId, bladesMm: stack.engravedMm, set, feel: this.feel(valveId, stack.totalMm), after } }
    }
    if (next.keys.some(k => k.asks === 'shim-read') && 'valveId' in next.stage) {
      const mm = this.truth.shimMm?.[next.stage.valveId] ?? 2.4
      return { type: 'shim-read', payload: { valveId: next.stage.valveId, engravedMm: Math.round(mm * 100) / 100, measuredMm: mm } }
    }
    const key = next.keys.find(k => k.happening && (k.happening.type !== 'crank' || k.happening.payload.observations.every(o => this.observe(o))))
    if (!key && next.requirement && next.keys.some(k => k.asks === 'reason')) {
      const { id, missing } = next.requirement
      return { type: 'gate-passed', payload: { gate: id, missing, reason: 'Owner told; booked in for it' } }
    }
    if (!key?.happening) throw new Error(`No key fits: ${next.instruction}`)
    this.act(key.happening)
    return key.happening
  }
}

/**
 * Leads a virtual engine through a job, answer by answer, until it is signed or somebody stops it.
 * @param record takes each answer into the log before the next is asked for
 * @throws Error when the job does not end
 */
export async function workThrough(hand: VirtualHand, look: () => JobView, record: (h: Happening) => Promise<void> | void, stop: (next: NextThing) => boolean = () => false, most = 250): Promise<string[]> {
  const story: string[] = []
  for (let i = 0; i < most; i++) {
    const next = nextThing(look())
    if (stop(next)) return story
    const happening = hand.answer(next)
    story.push(`${next.step}: ${next.instruction} → ${happening.type === 'trial' ? happening.payload.feel : JSON.stringify(happening.payload)}`)
    await record(happening)
    if (happening.type === 'closed') return story
  }
  throw new Error(`Not signed after ${most} answers:\n${story.slice(-25).join('\n')}`)
}
