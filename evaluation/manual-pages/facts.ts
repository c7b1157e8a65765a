/**
 * What a page of a manual states, drawn at random, before anybody words it. Clearances and torques as they are printed.
 */
export interface PageFacts {
  spanish: boolean
  maker: string
  model: string
  page: string
  intake: Printed
  exhaust: Printed
  bothAlike: boolean
  units: 'mm' | 'in' | 'mm (in)' | 'in (mm)' | 'thou'
  torques: { locknut: Torque | null; cover: Torque | null; plug: Torque | null }
  torqueUnits: 'N·m' | 'lbf·ft' | 'N·m (lbf·ft)' | 'kgf·m' | 'N·m (kgf·m, lbf·ft)' | 'lbf·in (N·m)'
  plugGap: [number, number]
  use: { figure: number; unit: 'km' | 'mi' | 'h' } | null
  firstUse: number | null
  months: number | null
  coldC: number | null
  bore: number | null
  stroke: number | null
  turning: 'clockwise' | 'anticlockwise' | null
  fireMark: number | null
  decimalComma: boolean
}
/** A clearance in hundredths of a millimetre: limits, a figure with its tolerance, or one figure. */
export type Printed =
  | { form: 'limits'; lo: number; hi: number }
  | { form: 'tolerance'; at: number; by: number }
  | { form: 'bare'; at: number }
/** A torque in N·m, one figure or limits. */
export interface Torque {
  lo: number
  hi: number
}

export type Chance = () => number
/** Numbers from a seed (mulberry32), the same on every machine. */
export function chanceOf(seed: number): Chance {
  let state = seed
  return () => {
    state = (state + 0x6d2b79f5) | 0
    let t = Math.imul(state ^ (state >>> 15), 1 | state)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296
  }
}
export const pick = <T>(chance: Chance, from: readonly T[]): T => from[Math.floor(chance() * from.length)]!
const between = (chance: Chance, lo: number, hi: number): number => lo + Math.floor(chance() * (hi - lo + 1))
const sometimes = <T>(chance: Chance, often: number, value: () => T): T | null => (chance() < often ? value() : null)

const MAKERS = ['Torvane', 'Hollin', 'Cresk', 'Dunmarrow', 'Pellard', 'Ostrell Works', 'Yarrowby', 'Kestane'] as const
const MODELS = ['R 210', 'Skiff 4', 'MX-90', 'Heath 160', 'Terrin 300', 'G28', 'Alder 550', 'P 12'] as const

/** @param chance numbers from 0 to 1 */
export function drawFacts(chance: Chance): PageFacts {
  const inchOnly = chance() < 0.2
  // a page in inches has whole thou, one in millimetres hundredths
  const step = inchOnly ? 2.54 : 1
  const clearance = (lo: number, hi: number): Printed => {
    const at = between(chance, Math.round(lo / step), Math.round(hi / step)) * step
    const kind = chance()
    return kind < 0.45
      ? { form: 'limits', lo: at, hi: at + between(chance, 1, 3) * 2 * step }
      : kind < 0.65
        ? { form: 'tolerance', at: at + 2 * step, by: pick(chance, [1, 2]) * step }
        : { form: 'bare', at }
  }
  const bothAlike = chance() < 0.12
  const intake = clearance(5, 15)
  const exhaust = bothAlike ? intake : clearance(10, 28)
  const torque = (lo: number, hi: number): Torque => {
    const at = between(chance, lo, hi)
    return { lo: at, hi: chance() < 0.3 ? at + between(chance, 1, 3) : at }
  }
  const useUnit = pick(chance, ['km', 'mi', 'h'] as const)
  return {
    spanish: chance() < 0.3,
    maker: pick(chance, MAKERS),
    model: pick(chance, MODELS),
    page: `${between(chance, 1, 9)}-${between(chance, 1, 40)}`,
    intake,
    exhaust,
    bothAlike,
    units: inchOnly ? pick(chance, ['in', 'thou'] as const) : pick(chance, ['mm', 'mm', 'mm (in)', 'in (mm)'] as const),
    torques: {
      locknut: sometimes(chance, 0.8, () => torque(7, 24)),
      cover: sometimes(chance, 0.7, () => torque(8, 13)),
      plug: sometimes(chance, 0.7, () => torque(11, 24)),
    },
    torqueUnits: pick(chance, [
      'N·m',
      'N·m',
      'lbf·ft',
      'N·m (lbf·ft)',
      'kgf·m',
      'N·m (kgf·m, lbf·ft)',
      'lbf·in (N·m)',
    ] as const),
    plugGap: pick(chance, [
      [0.6, 0.7],
      [0.7, 0.8],
      [0.8, 0.9],
      [0.7, 0.7],
      [1, 1.1],
    ] as [number, number][]),
    use: sometimes(chance, 0.75, () => ({
      figure: useUnit === 'h' ? pick(chance, [50, 100, 150, 300]) : pick(chance, [3000, 4000, 6000, 12000, 24000]),
      unit: useUnit,
    })),
    firstUse: sometimes(chance, 0.35, () => (useUnit === 'h' ? 20 : 1000)),
    months: sometimes(chance, 0.5, () => pick(chance, [6, 12, 24])),
    coldC: sometimes(chance, 0.5, () => pick(chance, [20, 30, 35, 35])),
    bore: sometimes(chance, 0.3, () => between(chance, 480, 940) / 10),
    stroke: sometimes(chance, 0.3, () => between(chance, 400, 800) / 10),
    turning: sometimes(chance, 0.6, () => pick(chance, ['clockwise', 'anticlockwise'] as const)),
    fireMark: sometimes(chance, 0.3, () => between(chance, 5, 20)),
    decimalComma: chance() < 0.15,
  }
}
