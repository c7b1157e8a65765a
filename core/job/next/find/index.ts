import { adviseByTable } from '../../../position'
import { say } from '../../../said'
import { type Requirement, wantedStops } from '../../requirements'
import type { JobView } from '../../view'
import { lostTrack } from '../keys'
import type { Worded } from '../thing'
import { feelDraft, watchDraft } from './feel'
import { moveDraft } from './move'
import { differsDraft, inVainDraft, noStopDraft, soughtInVain, vainDraft } from './ways-out'

export { marginOf, marginWords, pastTopWords } from './margin'
export { lastPlace } from './place'

const WEIGHING: Worded = {
  waits: true,
  label: say('weighing.label'),
  instruction: say('weighing'),
  why: say('weighing.why'),
  keys: [lostTrack],
  stage: { kind: 'wheel', target: null, feelValveIds: [], cylinderId: null },
}

/** The Find step: the next whole move or feel. */
export function findThing(view: JobView, { what }: Requirement): Worded {
  if (what.kind === 'no-stop') return noStopDraft(view, what.valveId)
  if (what.kind === 'vain') return vainDraft(view, what.valveId)
  if (what.kind === 'differs') return differsDraft(view, what.valveId)
  const { model, position, state } = view
  const advice =
    adviseByTable(model, position, state.noted, wantedStops(view)) ?? view.tools.weigh(model, position, state.noted)
  if (advice === null) return WEIGHING
  if (advice.kind !== 'settled' && advice.kind !== 'feel' && soughtInVain(state, advice)) return inVainDraft(view)
  switch (advice.kind) {
    case 'move':
      return moveDraft(view, advice)
    case 'feel':
      return feelDraft(view, advice)
    case 'watch':
      return watchDraft(view, advice)
    case 'settled':
      return {
        label: say('found.label'),
        instruction: say('found'),
        why: '',
        keys: [lostTrack],
        stage: { kind: 'wheel', target: null, feelValveIds: [], cylinderId: null },
      }
  }
}
