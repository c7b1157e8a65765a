import type { Adjuster } from '../engine'
import { type Said, say } from '../said'

/**
 * Which part sets the gap: the screw with its locknut, or a stud’s pivot nut, which a lock screw in its center holds,
 * or a second nut above it, or nothing but its own grip on the thread.
 */
export type SetBy = 'screw' | 'pivot nut' | 'pivot nut under a second' | 'self-locking nut'

const PIVOT_NUTS: Record<NonNullable<Adjuster['lockedBy']>, SetBy> = {
  'center screw': 'pivot nut',
  'second nut': 'pivot nut under a second',
  'own grip': 'self-locking nut',
}
/** Common practice. */
export const setBy = ({ kind, lockedBy }: Pick<Adjuster, 'kind' | 'lockedBy'>): SetBy =>
  kind !== 'pivot-nut' ? 'screw' : PIVOT_NUTS[lockedBy ?? 'center screw']

/** The tools that an adjuster wants. */
export const toolWords = (adjuster: Adjuster): Said =>
  say('adjuster.tools', {
    by: setBy(adjuster),
    head: adjuster.head,
    headMm: adjuster.headMm ?? null,
    nutMm: adjuster.nutMm ?? null,
  })

/** What one turn means for this adjuster, for the Set step. */
export const gainWords = ({ kind, rockerRatio }: Adjuster): Said =>
  kind === 'valve-end'
    ? say('adjuster.gain.valve-end')
    : kind === 'pushrod-end'
      ? say('adjuster.gain.pushrod-end', { rockerRatio })
      : say('adjuster.gain.pivot-nut', { gain: Number((1 + rockerRatio).toFixed(2)) })
