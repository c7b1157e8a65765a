import { type Adjuster, wrap } from '../engine'
import { say } from '../said'
import { FigureError } from '../units'

/**
 * A screw head looks the same after so many degrees: a slot half way round, a square each quarter, a hex or Torx each
 * sixth.
 */
export const HEAD_REPEATS_DEG: Record<Adjuster['head'], number> = {
  'slot': 180,
  'square': 90,
  'hex socket': 60,
  'Torx': 60,
}

const CLOCK = /^(\d{1,2})(?:[.:h\s]+(\d{1,2}))?$/
/**
 * A place on the clock as somebody says it: "2", "2:30", "10.15". 12 and 0 are straight up.
 * @returns degrees clockwise from 12, in [0, 360)
 * @throws FigureError when it is no clock hour
 */
export function parseClock(text: string): number {
  const match = CLOCK.exec(text.trim())
  const [hour, minute] = [Number(match?.[1]), Number(match?.[2] ?? 0)]
  if (!match || hour > 12 || minute > 59) throw new FigureError(text, say('figure.is-no-place-on-a'))
  return wrap(hour * 30 + minute / 2, 360)
}

/** Degrees clockwise from 12 as a clock hour, to the nearest five minutes of the hour hand: "2:30". */
export function clockWords(deg: number): string {
  const steps = Math.round(wrap(deg, 360) / 2.5) % 144
  return `${Math.floor(steps / 12) || 12}:${String((steps % 12) * 5).padStart(2, '0')}`
}

/**
 * How far a screw was turned, from where its slot points now. The slot looks the same again after half a turn, so of
 * the turns that fit the one nearest to what was asked is taken.
 * @param fromDeg where it pointed before, and `toDeg` where it points now, degrees clockwise from 12
 * @param askedDeg the turn that was asked for, clockwise positive
 * @returns degrees, clockwise positive, within half a repeat of `askedDeg`
 */
export function turnBySlot(fromDeg: number, toDeg: number, askedDeg: number, head: Adjuster['head']): number {
  const repeat = HEAD_REPEATS_DEG[head]
  const seen = wrap(toDeg - fromDeg, repeat)
  return seen + repeat * Math.round((askedDeg - seen) / repeat)
}
