/**
 * Rod length taken when none is on record, as a multiple of the stroke. From memory; marked assumed where it is used.
 */
export const ASSUMED_ROD_PER_STROKE = 1.75

/** The crank train of one cylinder. Lengths in mm. */
export interface CrankTrain {
  strokeMm: number
  rodMm: number | null
}

/** The connecting rod’s length: as recorded, or assumed from the stroke. mm */
export const rodLengthMm = (train: CrankTrain): number => train.rodMm ?? train.strokeMm * ASSUMED_ROD_PER_STROKE

/**
 * How far the piston is below its top.
 * With a = stroke/2 and rod l: a(1 − cos θ) + l − √(l² − a² sin² θ).
 * @param localDeg crank angle after the cylinder's TDC, any value
 * @returns mm in [0, stroke] Source: Heywood, Internal Combustion Engine Fundamentals, ch. 2 (slider-crank).
 */
export function pistonDrop(train: CrankTrain, localDeg: number): number {
  const a = train.strokeMm / 2
  const l = rodLengthMm(train)
  const theta = (localDeg * Math.PI) / 180
  const side = a * Math.sin(theta)
  // l − √(l² − s²) as s²/(l + √…): exact near the top, where the difference would cancel
  return 2 * a * Math.sin(theta / 2) ** 2 + side ** 2 / (l + Math.sqrt(l * l - side * side))
}

/**
 * The crank angle past top at which the piston is a given way down: the inverse of `pistonDrop` on [0°, 180°].
 * @param dropMm mm below top, in [0, stroke]
 * @returns degrees in [0, 180], to 1e-9
 * @throws RangeError when the piston never is that far down
 */
export function angleForDrop(train: CrankTrain, dropMm: number): number {
  if (!(dropMm >= 0 && dropMm <= train.strokeMm))
    throw new RangeError(`The piston is never ${dropMm} mm below top: the stroke is ${train.strokeMm} mm.`)
  let low = 0
  let high = 180
  while (high - low > 1e-10) {
    const middle = (low + high) / 2
    if (pistonDrop(train, middle) < dropMm) low = middle
    else high = middle
  }
  return (low + high) / 2
}
