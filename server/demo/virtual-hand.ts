import { wrap } from '../../core/engine'
import type { Feel } from '../../core/feeler'
import { type Happening, nextThing, type NextThing, type JobView } from '../../core/job'
import type { Observation } from '../../core/position'
import type { Place } from '../../core/stops'

/** The hidden truth of a one-cylinder engine, by its own kinematics and not by the core's. Angles in degrees, gaps in mm. */
export interface Truth {
  crankDeg: number
  strokeMm: number
  rodMm: number
  /** Closed arcs by local angle, written out by hand. */
  closed: { intake: [number, number], exhaust: [number, number] }
  /** Where a decompressor holds the exhaust, by local angle. */
  held: [number, number] | null
  gapMm: { intake: number, exhaust: number }
  degPerMm: number
  /** How far the gap moves when the nut is locked. */
  creepMm: number
}

const within = ([from, to]: [number, number], deg: number): boolean => wrap(deg - from) < wrap(to - from)

/** A hand at a virtual engine: turns it, feels it, and picks the key that is true. */
export class VirtualHand {
  private locked = { intake: true, exhaust: true }
  constructor(readonly truth: Truth) {}

  private closed(role: 'intake' | 'exhaust'): boolean {
    const { closed, held, crankDeg } = this.truth
    return within(closed[role], crankDeg) && !(role === 'exhaust' && held && within(held, crankDeg))
  }

  private slack = (role: 'intake' | 'exhaust'): boolean => this.closed(role) && this.truth.gapMm[role] > 0

  private angleOf(place: Place): number {
    if (place.kind !== 'rod-drop') return 0
    const a = this.truth.strokeMm / 2
    for (let deg = 0; deg < 180; deg += 0.01) {
      const r = deg * Math.PI / 180
      if (a * (1 - Math.cos(r)) + this.truth.rodMm - Math.sqrt(this.truth.rodMm ** 2 - (a * Math.sin(r)) ** 2) >= place.dropMm) return deg
    }
    throw new RangeError('never that far down')
  }

  /** Whole turns, then to the place nearest to where they end. */
  private turnWhole(turns: number, place: Place): void {
    const at = this.angleOf(place)
    this.truth.crankDeg = wrap(at + 360 * Math.round((this.truth.crankDeg + 360 * turns - at) / 360))
  }

  private turnTo(place: Place): void {
    this.truth.crankDeg = wrap(this.truth.crankDeg + 7 + wrap(this.angleOf(place) - this.truth.crankDeg - 7, 360))
  }

  feel(role: 'intake' | 'exhaust', bladeMm: number): Feel {
    const gap = this.closed(role) ? this.truth.gapMm[role] : -1
    return gap < bladeMm - 0.01 ? 'no-go' : gap < bladeMm ? 'pinched' : gap < bladeMm + 0.015 ? 'drag' : 'free'
  }

  private observe(o: Observation): boolean {
    if (o.kind === 'rocker') return o.slack === this.slack(o.valveId as 'intake')
    return true
  }

  private act(happening: Happening): void {
    if (happening.type === 'prove-turned' && happening.payload.to) this.turnWhole(happening.payload.turns, happening.payload.to)
    if (happening.type !== 'crank') return
    for (const o of happening.payload.observations) {
      if (o.kind === 'move') this.turnTo(o.to)
      if (o.kind === 'turns') this.turnWhole(o.turns, o.to)
      if (o.kind === 'watched') this.truth.crankDeg = this.angleOf(o.to)
    }
  }

  /** Does what the instruction says and answers truly. */
  answer(next: NextThing): Happening {
    if (next.trial) {
      const role = next.trial.valveId as 'intake' | 'exhaust'
      const { after, bladeMm } = next.trial
      if (after?.kind === 'screw') this.truth.gapMm[role] -= after.deg / this.truth.degPerMm
      if (after?.kind === 'torqued' && !this.locked[role]) {
        this.truth.gapMm[role] += this.truth.creepMm
        this.locked[role] = true
      }
      if (after?.kind === 'screw') this.locked[role] = false
      return { type: 'trial', payload: { valveId: role, bladesMm: [bladeMm], feel: this.feel(role, bladeMm), after } }
    }
    const key = next.keys.find(k => k.happening && (k.happening.type !== 'crank' || k.happening.payload.observations.every(o => this.observe(o))))
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
export async function workThrough(hand: VirtualHand, look: () => JobView, record: (h: Happening) => Promise<void> | void, stop: (next: NextThing) => boolean = () => false, most = 150): Promise<string[]> {
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
