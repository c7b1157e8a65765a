import type { Interval } from '../feeler'

/**
 * What was found at one angle of the screw: cumulative degrees from as found, clockwise positive, and the clearance
 * there in mm.
 */
export interface SlotTried {
  screwDeg: number
  reading: Interval
}

/**
 * The arc of screw angles that holds the answer: clockwise of what was too loose, anticlockwise of what was too tight;
 * null where that side is open.
 */
export interface SlotBracket {
  looseDeg: number | null
  tightDeg: number | null
}

/**
 * Where on the way to a setting the answer lies. Clockwise closes the gap, so a slot position that proved too loose
 * bounds it on one side and one too tight on the other. The latest count: a try from when the valve was held open says
 * nothing of the screw, and is dropped where it contradicts later ones.
 * @param tried in working order
 * @param wantedMm the clearance to end at before the lock
 * @returns degrees, cumulative from as found; `looseDeg < tightDeg` where both are known. Common practice
 */
export function bracketSlot(tried: readonly SlotTried[], wantedMm: number): SlotBracket {
  // a blade that runs free is too loose however little more than it the gap is
  const isLoose = ({ loMm, hiMm }: Interval) => loMm >= wantedMm || (hiMm === null && loMm > 0)
  const isTight = ({ hiMm }: Interval) => hiMm !== null && hiMm <= wantedMm
  const bracket: SlotBracket = { looseDeg: null, tightDeg: null }
  for (const { screwDeg, reading } of [...tried].reverse()) {
    if (isLoose(reading) && screwDeg < (bracket.tightDeg ?? Infinity))
      bracket.looseDeg = Math.max(bracket.looseDeg ?? -Infinity, screwDeg)
    if (isTight(reading) && screwDeg > (bracket.looseDeg ?? -Infinity))
      bracket.tightDeg = Math.min(bracket.tightDeg ?? Infinity, screwDeg)
  }
  return bracket
}

/**
 * The next screw angle: the model's place where it lies inside the bracket, else halfway.
 * @param modelDeg where the screw's pitch and the last reading put the answer
 * @param trusted false where the reading is open, so that the model has only a guess
 */
export function nextSlot({ looseDeg, tightDeg }: SlotBracket, modelDeg: number, trusted: boolean): number {
  if (looseDeg === null || tightDeg === null) return modelDeg
  const inside = modelDeg > looseDeg && modelDeg < tightDeg
  return inside && trusted ? modelDeg : (looseDeg + tightDeg) / 2
}
