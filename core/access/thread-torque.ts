import type { Part } from './part'

/**
 * Coarse pitches of ISO metric threads and their stress areas, mm and mm²: ISO 898-1, table of loads for coarse
 * threads.
 */
const COARSE: Record<number, { pitchMm: number }> = {
  3: { pitchMm: 0.5 },
  4: { pitchMm: 0.7 },
  5: { pitchMm: 0.8 },
  6: { pitchMm: 1 },
  7: { pitchMm: 1 },
  8: { pitchMm: 1.25 },
  10: { pitchMm: 1.5 },
  12: { pitchMm: 1.75 },
  14: { pitchMm: 2 },
}

/**
 * The stress area of a coarse metric thread, by the formula of ISO 898-1: π/4 · (d − 0.9382 P)².
 * @returns mm², or null for a size that is not among the usual ones
 */
export function stressAreaMm2(threadMm: number): number | null {
  const coarse = COARSE[threadMm]
  return coarse ? (Math.PI / 4) * (threadMm - 0.938194 * coarse.pitchMm) ** 2 : null
}

/** Friction between lightly oiled and dry, as the usual rule T = K · F · d has it. Common practice. */
const K = 0.2
/** Proof stress of property classes, N/mm²: ISO 898-1. */
const PROOF_OF_8_8 = 580
const PROOF_OF_10_9 = 830
/** A gasketed cover is drawn down lightly: so much of what an 8.8 bolt bears. From memory. */
const LIGHTLY = 0.12
/** No bolt is tightened further than this share of its proof load. Common practice. */
const FULLY = 0.9

/** Torques of spark plugs by thread, in a light-alloy head, dry: from memory of ISO 28741. N·m */
const PLUG_NM: Record<number, readonly [number, number]> = { 8: [6, 11], 10: [8, 15], 12: [13, 25], 14: [15, 35] }

/**
 * From where to where a torque on such a thread is usual.
 * @returns N·m, or null where the thread is not known
 */
export function usualTorqueNm(threadMm: number, kind: Part['kind'] = 'other'): { least: number; most: number } | null {
  if (kind === 'spark plug') {
    const plug = PLUG_NM[threadMm]
    return plug ? { least: plug[0], most: plug[1] } : null
  }
  // a plug or cap of plastic or alloy is wide and is drawn hand tight: its thread says nothing
  if (kind === 'timing plug' || kind === 'crank cap' || kind === 'screw cap') return null
  const areaMm2 = stressAreaMm2(threadMm)
  if (areaMm2 === null) return null
  const torque = (proof: number, share: number) => (K * share * proof * areaMm2 * threadMm) / 1000
  return { least: torque(PROOF_OF_8_8, LIGHTLY), most: torque(PROOF_OF_10_9, FULLY) }
}

/** A torque of a part that no such thread is usually tightened to, and what is usual; null where it may well be. */
export function oddTorque({
  torqueNm,
  kind,
  fasteners,
}: Pick<Part, 'torqueNm' | 'kind' | 'fasteners'>): { threadMm: number; least: number; most: number } | null {
  if (torqueNm === null) return null
  const [first] = fasteners
  if (!first || first.threadMm === null) return null
  const usual = usualTorqueNm(first.threadMm, kind)
  return usual && (torqueNm < usual.least || torqueNm > usual.most) ? { threadMm: first.threadMm, ...usual } : null
}
