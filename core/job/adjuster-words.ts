import type { Adjuster } from '../engine'
import { say, type Said } from '../said'

/** Which part sets the gap: the screw with its locknut, or a stud’s pivot nut, which its own lock screw holds. */
export type SetBy = 'screw' | 'pivot nut'

/** Common practice. */
export const setBy = ({ kind }: Pick<Adjuster, 'kind'>): SetBy => (kind === 'pivot-nut' ? 'pivot nut' : 'screw')

/** The tools that an adjuster wants. */
export const toolWords = ({ kind, head }: Pick<Adjuster, 'kind' | 'head'>): Said =>
  say('adjuster.tools', { by: setBy({ kind }), head })

/** What one turn means for this adjuster, for the Set step. */
export const gainWords = ({ kind, rockerRatio }: Adjuster): Said =>
  kind === 'valve-end'
    ? say('adjuster.gain.valve-end')
    : kind === 'pushrod-end'
      ? say('adjuster.gain.pushrod-end', { rockerRatio })
      : say('adjuster.gain.pivot-nut', { gain: Number((1 + rockerRatio).toFixed(2)) })
