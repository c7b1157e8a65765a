import type { JobEvent } from '~~/core/job'
import type { Field } from '../components/bench/side/AskForm.vue'

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
        | 'figure'
        | 'shim-read'
        | 'shim-size'
        | 'newer'
    }
  | { kind: 'ask'; asks: Field }
  | { kind: 'undo'; event: JobEvent }

export const KEYS: Panel = { kind: 'keys' }
/** Panels that belong to a picture go with it. */
export const goesWithStage = ({ kind }: Panel): boolean =>
  kind === 'figure' || kind === 'shim-read' || kind === 'shim-size'
