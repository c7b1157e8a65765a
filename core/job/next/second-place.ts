import { type Place, samePlace } from '../../engine'
import { engravedWords } from '../../feeler'
import { PAST_TOP_MM, secondPlace } from '../two-places'
import type { JobView } from '../view'
import { untilWords } from '../words'
import { lastPlace } from './find'
import { type Worded, key } from './thing'

/**
 * A complaint, or an exhaust into which nothing goes, asks whether the record is right that nothing holds it: one blade
 * past its top tells.
 */
export function secondPlaceThing(view: JobView): Worded {
  const { engine } = view.pin.spec
  const { valve, bladesMm, set, because } = secondPlace(view)!
  const place: Place = { kind: 'rod-drop', cylinderId: valve.cylinderId, dropMm: PAST_TOP_MM }
  const notNow = key('Not now', 'say why', null, 'reason')
  const stage: Worded['stage'] = { kind: 'wheel', target: null, feelValveIds: [valve.id], cylinderId: valve.cylinderId }
  const reason =
    because === 'complaint'
      ? `Complaint: “${view.pin.complaint}”. The spec lists no decompressor.`
      : `No blade goes into the ${valve.name.toLowerCase()} here, and the spec lists no decompressor.`
  if (!samePlace(lastPlace(view), place))
    return {
      label: 'Check for a decompressor',
      instruction: `Turn until ${untilWords(engine, place)}`,
      why: `${reason} One that holds the exhaust open at the top has released there, so one blade will tell.`,
      keys: [
        key(`${PAST_TOP_MM} mm down`, 'stopped there', {
          type: 'crank',
          payload: { observations: [{ kind: 'move', to: place }] },
        }),
        notNow,
      ],
      stage: { ...stage, target: place, feelValveIds: [] },
    }
  const unit = [view.pin.bladeSet, ...view.pin.otherSets].find(s => s.name === set)?.unit ?? view.pin.bladeSet.unit
  const say = (there: boolean) => ({
    type: 'decompressor-tested' as const,
    payload: { valveId: valve.id, there, bladesMm },
  })
  return {
    label: 'Check for a decompressor',
    instruction: `Past the top, try ${engravedWords(bladesMm, unit)} in the ${valve.name.toLowerCase()}`,
    why: 'At the top this blade was too thick. If it goes here, a decompressor held the valve open at the top: measure it here from now on.',
    keys: [
      key('Won’t go here either', 'no decompressor', say(false)),
      key('It goes', 'there is a decompressor', say(true)),
      notNow,
    ],
    stage,
  }
}
