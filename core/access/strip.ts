import type { Part } from './part'

/** Parts that may go back together: one tap for a run of them. */
export interface BackGroup {
  parts: Part[]
}

/** Whether something is wanted of a part beyond its being back: it has a step of its own. */
const wantsCare = ({ torqueNm, seal, kind, pattern }: Part): boolean =>
  torqueNm !== null || seal !== null || pattern !== null || kind === 'cover' || kind === 'spark plug'

/**
 * What came off, in the exact reverse, in groups: what goes last to first, parts that want nothing but their place
 * together, every other one by itself.
 * @param off what came off, in the order in which it did; what is unknown to the engine counts as plain
 */
export function backInGroups(off: readonly Part[]): BackGroup[] {
  const groups: BackGroup[] = []
  for (const part of [...off].reverse()) {
    const last = groups.at(-1)
    if (last && !wantsCare(part) && last.parts.every(p => !wantsCare(p))) last.parts.push(part)
    else groups.push({ parts: [part] })
  }
  return groups
}
