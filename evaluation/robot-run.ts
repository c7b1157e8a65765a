/** What the robot is told. */
export interface RobotOptions {
  /** Share of what the hand says of the crank that is not so. */
  wrongShare: number
  kindId?: string
  /** Draws from the wider world: everything that the usual drawing leaves out. */
  wide?: boolean
  /** Keeps what was asked and answered, a line each. */
  trace?: boolean
}

/** Said of a thing, and how often it was so: for calibration. */
export interface Bin {
  said: number
  so: number
  count: number
}
export const emptyBins = (): Bin[] => Array.from({ length: 10 }, () => ({ said: 0, so: 0, count: 0 }))

/** What became of one engine. */
export interface RobotRun {
  seed: number
  kind: string
  answers: number
  /** Why it could not go on, or null. */
  stuck: string | null
  /** Gates that it had to give a reason for. */
  reasons: string[]
  valves: number
  /** Valves that did not end truly in spec, with their gaps. */
  outOfSpec: string[]
  falseIn: string[]
  falseSettled: string[]
  /**
   * Screws touched where the stop was false, no reason having been given for the place, and those of them that did not
   * end in spec.
   */
  touchedFalsely: string[]
  heldTaken: string[]
  wrong: number
  wrongMet: number
  wrongNamed: number
  /** Clashes that came up once something wrong had been said, and those that named something wrong. */
  clashes: number
  clashesNamed: number
  /** Readings that came to a verdict, and the trials they took. */
  readings: number
  trials: number
  moves: number
  stops: number
  stopsPlanned: number
  /** What is out of the ordinary about the engine, the drawer, the hand. */
  features: string[]
  /** Valves signed as in that are out by more than blades and drag can be off. */
  signedOut: string[]
  /**
   * Asked a third time on the same evidence; readings of more than a dozen trials; turns on a guess; screws opened in
   * vain.
   */
  repeats: string[]
  longReadings: string[]
  violent: string[]
  vain: string[]
  closed: Bin[]
  arcs: { asked: number; held: number }
  story: string[]
}
