import { type Place, samePlace } from '../../engine'
import { engravedWords } from '../../feeler'
import { say } from '../../said'
import { PAST_TOP_MM, secondPlace } from '../two-places'
import type { JobView } from '../view'
import { untilWords } from '../words'
import { lastPlace } from './find'
import { notNow } from './keys'
import { key, type Worded } from './thing'

/**
 * A complaint, or an exhaust into which nothing goes, asks whether the record is right that nothing holds it: one blade
 * past its top tells.
 */
export function secondPlaceThing(view: JobView): Worded {
  const { engine } = view.pin.spec
  const { valve, bladesMm, set, because } = secondPlace(view)!
  const place: Place = { kind: 'rod-drop', cylinderId: valve.cylinderId, dropMm: PAST_TOP_MM }
  const stage: Worded['stage'] = { kind: 'wheel', target: null, feelValveIds: [valve.id], cylinderId: valve.cylinderId }
  const reason =
    because === 'complaint'
      ? say('second-place.complaint', { complaint: view.pin.complaint })
      : say('second-place.no-blade', { valve: valve.name })
  if (!samePlace(lastPlace(view), place))
    return {
      label: say('second-place.label'),
      instruction: say('find.turn-until', { until: untilWords(engine, place) }),
      why: [reason, say('second-place.turn.why')],
      keys: [
        key(say('key.down', { dropMm: PAST_TOP_MM }), say('key.stopped-there'), {
          type: 'crank',
          payload: { observations: [{ kind: 'move', to: place }] },
        }),
        notNow,
      ],
      stage: { ...stage, target: place, feelValveIds: [] },
    }
  const unit = [view.pin.bladeSet, ...view.pin.otherSets].find(s => s.name === set)?.unit ?? view.pin.bladeSet.unit
  const tested = (there: boolean) => ({
    type: 'decompressor-tested' as const,
    payload: { valveId: valve.id, there, bladesMm },
  })
  return {
    label: say('second-place.label'),
    instruction: say('second-place.try', { blade: engravedWords(bladesMm, unit), valve: valve.name }),
    why: say('second-place.try.why'),
    keys: [
      key(say('key.wont-go-here-either'), say('key.no-decompressor'), tested(false)),
      key(say('key.it-goes'), say('key.there-is-a-decompressor'), tested(true)),
      notNow,
    ],
    stage,
  }
}
