import type { Adjuster } from '../engine'

/** How the parts of an adjuster are called in an instruction. */
export interface AdjusterWords {
  turned: string
  nut: string
  nip: string
  hold: string
  tool: string
}

const TOOLS: Record<Adjuster['head'], string> = {
  'slot': 'a driver that fills the slot',
  'square': 'a square key',
  'hex socket': 'a hex key',
  'Torx': 'a Torx key',
}

/**
 * The screw with its locknut; for a rocker on a stud the pivot nut, which its own lock screw holds. Common practice.
 */
export const adjusterWords = ({ kind, head }: Pick<Adjuster, 'kind' | 'head'>): AdjusterWords =>
  kind === 'pivot-nut'
    ? {
        turned: 'pivot nut',
        nut: 'lock screw',
        nip: 'lock screw',
        hold: 'the pivot nut',
        tool: `${TOOLS[head]} for the lock screw, a wrench on the nut`,
      }
    : {
        turned: 'screw',
        nut: 'locknut',
        nip: 'nut',
        hold: 'the screw',
        tool: `${TOOLS[head]} for the screw, a wrench on the locknut`,
      }

/** What one turn means for this adjuster, for the Set step. */
export const gainWords = ({ kind, rockerRatio }: Adjuster): string =>
  kind === 'valve-end'
    ? 'Screw at the valve: the gap moves as the screw does.'
    : kind === 'pushrod-end'
      ? `Screw at the push-rod: the gap moves ${rockerRatio} times the screw’s travel.`
      : `Pivot nut: the gap moves ${Number((1 + rockerRatio).toFixed(2))} times its travel.`
