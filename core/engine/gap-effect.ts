import { type Said, say } from '../said'
import type { Role } from './clearance'
import { valveLift } from './lift'
import type { Engine } from './parts'
import { valveEvents } from './valve-timing'

/**
 * What a gap leaves of a valve's opening: from and to where it is open, local degrees, and how far it lifts. Zero lift:
 * it never opens.
 */
export interface GapEffect {
  opensDeg: number
  closesDeg: number
  liftMm: number
}

/** As fine as a degree wheel is read. */
const STEP_DEG = 0.5

/** A valve lifts when the follower has taken up the gap: lift over the seat, mm. */
export const liftWithGap = (
  engine: Pick<Engine, 'cam' | 'strokeMm'>,
  role: Role,
  gapMm: number,
  localDeg: number,
): number => Math.max(0, valveLift(engine, role, localDeg) - gapMm)

/** Where the lift crosses the gap between two angles that lie on either side of it. */
function crossing(lift: (deg: number) => number, gapMm: number, from: number, to: number): number {
  let [a, b] = [from, to]
  const rises = lift(b) > gapMm
  for (let i = 0; i < 40; i++) {
    const middle = (a + b) / 2
    if (lift(middle) > gapMm === rises) b = middle
    else a = middle
  }
  return (a + b) / 2
}

/**
 * When a valve opens and closes and how far it lifts with a gap at its tip: a wide gap opens it late, closes it early
 * and lifts it less.
 * @param gapMm clearance, mm, 0 or more Source: the lift law of `valveLift` less the gap, at the valve (rocker ratio
 *   taken as in the lift).
 */
export function gapEffect(engine: Pick<Engine, 'cam' | 'strokeMm'>, role: Role, gapMm: number): GapEffect {
  const lift = (deg: number) => valveLift(engine, role, deg)
  const { opensDeg, closesDeg, rampDeg } = valveEvents(engine, role)
  const [start, end] = [opensDeg - rampDeg, closesDeg + rampDeg]
  let [top, at] = [0, start]
  for (let deg = start; deg <= end; deg += STEP_DEG) if (lift(deg) > top) [top, at] = [lift(deg), deg]
  if (gapMm >= top) return { opensDeg: at, closesDeg: at, liftMm: 0 }
  if (gapMm <= 0) return { opensDeg: start, closesDeg: end, liftMm: top }
  return { opensDeg: crossing(lift, gapMm, start, at), closesDeg: crossing(lift, gapMm, at, end), liftMm: top - gapMm }
}

/** One gap against another, in whole degrees and hundredths of a millimetre: more than that nobody reads from a cam. */
const difference = (found: GapEffect, wanted: GapEffect) => ({
  lateDeg: Math.round(found.opensDeg - wanted.opensDeg),
  earlyDeg: Math.round(wanted.closesDeg - found.closesDeg),
  liftMm: Math.round((found.liftMm - wanted.liftMm) * 100) / 100,
})
/** Whether what one gap does differs from what another does, by as much as can be said. */
export function gapShows(found: GapEffect, wanted: GapEffect): boolean {
  const { lateDeg, earlyDeg, liftMm } = difference(found, wanted)
  return lateDeg !== 0 || earlyDeg !== 0 || Math.abs(liftMm) >= 0.01
}

/** What one gap does against another: how much later it opens and sooner it closes, and how much less it lifts. */
export function gapEffectWords(found: GapEffect, wanted: GapEffect): Said {
  if (found.liftMm === 0) return say('gap-effect.shut')
  return gapShows(found, wanted) ? say('gap-effect', difference(found, wanted)) : say('gap-effect.right')
}
