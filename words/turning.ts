/** A turn of the crank in quarters, as a hand counts it, and whether it is a little over or under them. */
export function inQuarters(deg: number): {
  quarters: number
  turns: number
  part: string
  off: 'over' | 'under' | null
} {
  const quarters = Math.round(deg / 90)
  const off = deg - quarters * 90
  return {
    quarters,
    turns: Math.floor(quarters / 4),
    part: ['', '¼', '½', '¾'][quarters % 4]!,
    off: Math.abs(off) < 3 ? null : off > 0 ? 'over' : 'under',
  }
}

const PARTS: [number, string][] = [
  [15, '¼'],
  [20, '⅓'],
  [30, '½'],
  [40, '⅔'],
  [45, '¾'],
]
/** A fraction of a flat is said only where it is right within this. Degrees */
const FRACTION_WITHIN_DEG = 2

/** How many flats of a nut a turn is: a fraction where one is right within 2°, else a touch, else tenths. */
export type Flats =
  | { in: 'fractions'; whole: number; part: string }
  | { in: 'touch'; deg: number; of: 20 | 10 }
  | { in: 'tenths'; flats: number }

export function inFlats(deg: number): Flats {
  const turned = Math.abs(deg)
  const whole = Math.floor((turned + FRACTION_WITHIN_DEG) / 60)
  const rest = turned - whole * 60
  const part =
    Math.abs(rest) <= FRACTION_WITHIN_DEG ? '' : PARTS.find(([at]) => Math.abs(rest - at) <= FRACTION_WITHIN_DEG)?.[1]
  if (part !== undefined && (whole > 0 || part !== '')) return { in: 'fractions', whole, part }
  if (turned < 10) return { in: 'touch', deg: Math.max(1, Math.round(turned)), of: turned < 4.5 ? 20 : 10 }
  return { in: 'tenths', flats: Math.round(turned / 6) / 10 }
}
