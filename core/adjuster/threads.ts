import { say } from '../said'
import { FigureError, MM_PER_INCH, snapMm } from '../units'

/** Fine and coarse pitches of the screws that rockers have, in mm. Source: ISO 261. */
const METRIC: Record<string, number[]> = { M4: [0.7, 0.5], M5: [0.8, 0.5], M6: [1, 0.75], M7: [1, 0.75], M8: [1.25, 1] }
/** Threads to the inch. Source: ASME B1.1, UNC and UNF. */
const UNIFIED: Record<string, number[]> = { '10': [24, 32], '1/4': [20, 28], '5/16': [18, 24] }

/**
 * The pitch of a thread as it is written: “M6×0.75”, “M6” (coarse), “10-32”, “1/4-28”, or a pitch in mm.
 * @returns mm
 * @throws FigureError for one that the standards do not have: what they have is named
 */
export const parsePitch = (text: string): number => parseThread(text).pitchMm

/** Major diameters of unified threads, mm. Source: ASME B1.1: No. 10 is 0.190 in. */
const UNIFIED_MM: Record<string, number> = { '10': 4.826, '1/4': 6.35, '5/16': 7.9375 }
/**
 * A thread as it is written, as `parsePitch` takes it: its pitch, and its diameter where that is named.
 * @returns mm
 * @throws FigureError as `parsePitch` does
 */
export function parseThread(text: string): { pitchMm: number; diameterMm: number | null } {
  const plain = text.trim().replace(',', '.').replace(/\s+/g, '')
  if (/^\d*\.?\d+(mm)?$/i.test(plain)) return { pitchMm: snapMm(Number.parseFloat(plain)), diameterMm: null }
  const metric = /^(M\d+)(?:[x×](\d*\.?\d+))?$/i.exec(plain)
  const known = metric && METRIC[metric[1]!.toUpperCase()]
  if (known) {
    const pitch = metric[2] === undefined ? known[0]! : Number(metric[2])
    if (known.includes(pitch)) return { pitchMm: pitch, diameterMm: Number(metric[1]!.slice(1)) }
    throw new FigureError(
      text,
      say('figure.no-pitch', { thread: metric[1]!.toUpperCase(), pitches: known.map(String) }),
    )
  }
  const unified = /^(?:No\.?)?(10|1\/4|5\/16)-(\d+)$/i.exec(plain)
  if (unified && UNIFIED[unified[1]!]!.includes(Number(unified[2])))
    return { pitchMm: snapMm(MM_PER_INCH / Number(unified[2])), diameterMm: UNIFIED_MM[unified[1]!]! }
  throw new FigureError(text, say('figure.is-no-thread-known-here'))
}

/** A thread as it is written: “M6×0.75”, “10-32”, or the bare pitch where the diameter is not on record. */
export function threadText({ pitchMm, threadMm }: { pitchMm: number; threadMm: number | null }): string {
  const unified = Object.entries(UNIFIED_MM).find(([, mm]) => mm === threadMm)?.[0]
  if (unified) return `${unified}-${Math.round(MM_PER_INCH / pitchMm)}`
  return threadMm === null ? String(pitchMm) : `M${threadMm}×${pitchMm}`
}
