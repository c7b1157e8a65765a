import { degreesFor } from '../core/adjuster'
import { thickness, went } from '../core/feeler'
import type { Happening, JobView, NextThing } from '../core/job'
import { judgeReading, latestReading } from '../core/job'
import { movesCrank } from '../core/position'
import type { Worked } from '../core/practice'
import { tellEnglish } from '../words'

/** What an answer of a trial or of the crank comes to, without what is only bookkeeping. */
function saidWords(happening: Happening): string {
  if (happening.type === 'trial') return `${happening.payload.bladesMm.join('+')} ${happening.payload.feel}`
  if (happening.type === 'crank') return JSON.stringify(happening.payload.observations)
  return happening.type
}

/**
 * The place that the crank was last turned to. A valve that was watched on the way there, and a search begun anew, are
 * new evidence.
 */
const cameTo = ({ state: { noted } }: JobView): string =>
  JSON.stringify([
    noted.findLast(n => movesCrank(n.observation))?.observation ?? null,
    noted.filter(({ observation: o }) => o.kind === 'watched' || o.kind === 'lost').length,
  ])

/** The most that anything may be asked on the same evidence, and the most trials for one reading. */
const MOST_ASKED = 2
export const MOST_TRIALS = 12
/** A turn above this wants a blade that bounds the gap on both sides. Degrees */
const VIOLENT_DEG = 65
const ROUNDED_DEG = 5
/**
 * No valve lacks more than 0.15 mm, and a step is 0.05: a screw opened by more, and the blade still refused, was opened
 * in vain. mm
 */
const VAIN_MM = 0.2

/**
 * Watches that a job gets on: that nothing is asked a third time on the same evidence, that no reading takes a dozen
 * trials, that no screw is turned far on a guess or opened in vain.
 */
export class ProgressWatch {
  readonly repeats: string[] = []
  readonly longReadings: string[] = []
  readonly violent: string[] = []
  readonly vain: string[] = []
  private readonly asked = new Map<string, number>()
  private readonly trials = new Map<string, number>()
  private readonly refusedSince = new Map<string, number>()

  saw({ next, happening }: Worked, view: JobView): void {
    this.repeated(next, happening, view)
    if (happening.type !== 'trial') return
    const { valveId, after, feel } = happening.payload
    const valve = view.state.valves.find(v => v.valveId === valveId)!
    // all turns of one round count as one setting
    const reading = `${valveId}|${view.state.places}|${valve.phase}|${valve.round}`
    const count = (this.trials.get(reading) ?? 0) + 1
    this.trials.set(reading, count)
    if (count === MOST_TRIALS + 1) this.longReadings.push(`${valveId}: ${tellEnglish(next.instruction)}`)
    const adjuster = view.pin.spec.engine.adjuster
    const perMm = degreesFor(adjuster, 1)
    if (after?.kind === 'screw') {
      const latest = judgeReading(view.pin, latestReading(valve), valveId).reading
      const aimMm = next.stage.kind === 'screw' ? next.stage.aim.beforeMm : 0
      const provedDeg = degreesFor(adjuster, after.deg > 0 ? latest.loMm - aimMm : aimMm - (latest.hiMm ?? Infinity))
      // between angles that were felt in this round nothing new is risked
      const felt = valve.tries.filter(t => t.round === valve.round).map(t => t.screwDeg)
      const to = valve.screwDeg + after.deg
      // a blade that went a little further open bounds the gap from below by the screw’s angle
      const wentMm = valve.tries
        .filter(t => t.round === valve.round && t.screwDeg <= valve.screwDeg)
        .flatMap(t => t.trials.filter(went).map(b => thickness(b) - (valve.screwDeg - t.screwDeg) / perMm))
      const loMm = Math.max(latest.loMm, ...wentMm)
      const bounded = (latest.hiMm !== null && loMm > 0) || (to >= Math.min(...felt) && to <= Math.max(...felt))
      if (!bounded && Math.abs(after.deg) > Math.max(VIOLENT_DEG, provedDeg + ROUNDED_DEG))
        this.violent.push(`${valveId}: ${after.deg}° at ${latest.loMm}–${latest.hiMm ?? '∞'}`)
      if (after.deg < 0) this.refusedSince.set(valveId, (this.refusedSince.get(valveId) ?? 0) - after.deg)
    }
    const openedDeg = this.refusedSince.get(valveId) ?? 0
    if (feel === 'free' || feel === 'drag') this.refusedSince.delete(valveId)
    else if (openedDeg / perMm > VAIN_MM + happening.payload.bladesMm.reduce((a, b) => a + b, 0)) {
      this.vain.push(`${valveId}: opened ${(openedDeg / perMm).toFixed(2)} mm, still ${feel}`)
      this.refusedSince.delete(valveId)
    }
  }

  private repeated(next: NextThing, happening: Happening, view: JobView): void {
    const valveId = 'valveId' in next.stage ? next.stage.valveId : ''
    const valve = view.state.valves.find(v => v.valveId === valveId)
    // a place found anew, and a round of the nut, are new evidence; where the crank is sought, the place it came to is
    const episode =
      next.step === 'find'
        ? `${view.state.valves.reduce((sum, v) => sum + v.round + v.readings.length + v.moves.length, 0)}|${next.requirement?.what.kind}|${cameTo(view)}`
        : `${valveId}|${valve?.round ?? ''}|${view.state.places}|${valve?.phase ?? ''}|${valve?.screwDeg ?? ''}`
    const key = `${next.step}|${episode}|${tellEnglish(next.instruction)}|${saidWords(happening)}`
    const count = (this.asked.get(key) ?? 0) + 1
    this.asked.set(key, count)
    if (count === MOST_ASKED + 1)
      this.repeats.push(`${tellEnglish(next.instruction)} → ${saidWords(happening).slice(0, 60)}`)
  }
}
