import type { Asks, JobEvent } from '~~/core/job'

/** What a field can ask for; a choice among ways, or going back, is no field. */
export type Field =
  | Exclude<Asks, 'school' | 'back' | 'finding' | 'figure' | 'due' | 'shim-read' | 'shim-size'>
  | 'hold'
  | 'abandon'
  | 'estimate'

/** What stands in the place of the keys, when something was asked for. */
export type Panel =
  | {
      kind:
        | 'keys'
        | 'blade'
        | 'more'
        | 'log'
        | 'help'
        | 'evidence'
        | 'reasons'
        | 'school'
        | 'sets'
        | 'wrench'
        | 'ways'
        | 'photos'
        | 'pressure'
        | 'finding'
        | 'figure'
        | 'due'
        | 'shim-read'
        | 'shim-size'
        | 'newer'
        | 'not-opened'
    }
  | { kind: 'ask'; asks: Field }
  | { kind: 'undo'; event: JobEvent }

export const KEYS: Panel = { kind: 'keys' }
/** Panels that belong to a picture go with it. */
export const goesWithStage = ({ kind }: Panel): boolean =>
  kind === 'figure' || kind === 'shim-read' || kind === 'shim-size'
/** What a key asks for in a panel of its own; all else is one field. */
const OWN_PANELS = ['school', 'figure', 'due', 'shim-read', 'shim-size', 'finding'] as const
export const isOwnPanel = (asks: string): asks is (typeof OWN_PANELS)[number] =>
  (OWN_PANELS as readonly string[]).includes(asks)
