import { signedWay, wrap } from './angle'
import type { Engine, Mark, MarkShape } from './parts'

/** A mark as it would be seen: which one, and how far it still has to come to the pointer (negative: it has passed). */
export interface SeenMark {
  mark: Mark
  index: number
  aheadDeg: number
}

/**
 * The marks within sight of the pointer at a cycle angle, the one that passes first in front.
 * Flywheel marks repeat each turn, so 0° and 360° look alike.
 * @param crankDeg cycle angle
 * @param withinDeg half the width of the window, in crank degrees
 */
export function marksAt(engine: Pick<Engine, 'marks'>, crankDeg: number, withinDeg: number): SeenMark[] {
  return engine.marks
    .map((mark, index) => ({ mark, index, aheadDeg: signedWay(wrap(crankDeg, 360), mark.angleDeg, 360) }))
    .filter(seen => Math.abs(seen.aheadDeg) <= withinDeg)
    .sort((a, b) => a.aheadDeg - b.aheadDeg)
}

/** What a mark is made as: where nobody told, a line, and a pair of dashes for the advance. */
export const shapeOf = (mark: Pick<Mark, 'kind' | 'shape'>): MarkShape =>
  mark.shape ?? (mark.kind === 'advance' ? 'dash pair' : 'line')

/** Where a mark is seen: through its own plug, or in the marks’ common window. */
export const windowOf = (engine: Pick<Engine, 'markWindow'>, mark: Pick<Mark, 'through'> | undefined): string =>
  mark?.through ?? engine.markWindow

/** Every window in which marks are seen, each once. */
export const windowsOf = (engine: Pick<Engine, 'marks' | 'markWindow'>): string[] => [
  ...new Set(engine.marks.map(mark => windowOf(engine, mark))),
]
