import { type BladeSet, engravedWords, leavesOf } from '~~/core/feeler'
import type { CardLine, Happening, NextThing } from '~~/core/job'
import type { Text } from '~~/core/said'

/**
 * What a hand has chosen on the picture instead of what is asked for: blades by their engravings, how far the screw is
 * turned, and which lines of a card are not so.
 */
export interface InHand {
  blades: number[] | null
  turnDeg: number | null
  notSo: ReadonlySet<string>
}

/** A line of a card by name. */
export const lineKey = (line: CardLine): string => (line.kind === 'off' ? `off ${line.item}` : line.kind)

/** More than three blades on each other slip. */
const MOST_BLADES = 3

/** A tap takes one blade, or while stacking adds it to those in hand or lays it down; one always stays. */
export function tapped(held: number[], engravedMm: number, stacking: boolean): number[] {
  if (!stacking) return [engravedMm]
  if (held.includes(engravedMm)) return held.length > 1 ? held.filter(b => b !== engravedMm) : held
  return held.length < MOST_BLADES ? [...held, engravedMm].sort((a, b) => b - a) : held
}

/** The single blade next to a thickness, thicker or thinner; null at the set’s end. */
export function bladeBeside(set: BladeSet, thickMm: number, step: -1 | 1): number | null {
  const leaves = leavesOf(set)
  const to = step > 0 ? leaves.find(l => l.mm > thickMm) : leaves.findLast(l => l.mm < thickMm)
  return to?.engravedMm ?? null
}

/** An answer as it was made: a trial with the blades and the turn that were chosen, a card without what is not so. */
export function asMade(happening: Happening, { blades, turnDeg, notSo }: InHand): Happening {
  if (happening.type === 'readied') {
    const { lines, off } = happening.payload
    return {
      type: 'readied',
      payload: {
        lines: lines.filter(line => !notSo.has(line)),
        off: off.filter(item => !notSo.has(lineKey({ kind: 'off', item }))),
      },
    }
  }
  if (happening.type !== 'trial') return happening
  const { after, ...trial } = happening.payload
  return {
    type: 'trial',
    payload: {
      ...trial,
      bladesMm: blades ?? trial.bladesMm,
      after: after?.kind === 'screw' ? { kind: 'screw', deg: turnDeg ?? after.deg } : after,
    },
  }
}

/** The instruction with what was chosen in the place of what was asked for. */
export function instructionFor(
  { instruction, trial }: Pick<NextThing, 'instruction' | 'trial'>,
  { blades, turnDeg }: Pick<InHand, 'blades' | 'turnDeg'>,
  unit: BladeSet['unit'],
): Text {
  if (!trial || typeof instruction === 'string' || !('say' in instruction)) return instruction
  return {
    ...instruction,
    ...(blades === null ? {} : { blade: engravedWords(blades, unit) }),
    ...(trial.after?.kind === 'screw' && turnDeg !== null ? { deg: turnDeg } : {}),
  }
}
