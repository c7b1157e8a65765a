import { say } from '../../said'
import { unsettledRoles } from '../figures'
import { NOT_LOOKED_AT, plugGapOf, plugsOf } from '../plugs'
import { partsToRemove, PLUG } from '../strip-down'
import { isCold, type JobView } from '../view'
import { ask, type Asked } from './requirement'

/** Since this version of the judgement a plug that was looked at is asked its gap. */
const GAPS_SINCE = 4

/** Before anything is turned. */
export function ready({ state, pin, tools, ...view }: JobView): Asked[] {
  const { engine, status } = pin.spec
  const gone = new Set(state.cameOff)
  const parts = partsToRemove(engine)
  const lookOf = (plug: string) => (plug === PLUG ? state.plugRead : (state.plugLooks[plug] ?? null))
  const plugs = plugsOf(engine)
  const gapAsked = tools.pin.judgementVersion >= GAPS_SINCE && plugGapOf(engine) !== null
  // the figures of a quick job are its mechanic's own: there is no page to compare them with
  const onRecord = pin.quick === null
  return [
    ...(onRecord
      ? [
          ask({ kind: 'machine' }, say('missing.machine'), state.confirmed.has('machine')),
          ask({ kind: 'spec' }, say('missing.spec'), state.confirmed.has('spec')),
        ]
      : []),
    ...unsettledRoles((state.spec ?? tools.pin.spec).engine, state).map(role =>
      ask({ kind: 'figure', role }, say('missing.figure', { role }), false),
    ),
    ...(onRecord ? [ask({ kind: 'spec-approved' }, say('missing.spec-approved'), status === 'approved')] : []),
    ask(
      { kind: 'cold' },
      engine.setWhen === 'hot' ? say('missing.warm') : say('missing.cold', { limitC: engine.coldLimitC }),
      isCold({ state, pin, nowMs: view.nowMs }),
    ),
    ask({ kind: 'safe' }, say('missing.safe'), state.confirmed.has('safe')),
    ...parts.map(({ name: item }) => ask({ kind: 'off', item }, say('missing.off', { item }), gone.has(item))),
    ...(onRecord
      ? plugs.map(item =>
          ask({ kind: 'plug-read', item }, say('missing.plug-read'), lookOf(item) !== null || !gone.has(item)),
        )
      : []),
    ...(onRecord && gapAsked
      ? plugs
          .filter(item => ![null, NOT_LOOKED_AT].includes(lookOf(item)))
          .map(item => ask({ kind: 'plug-gap', item }, say('missing.plug-gap'), item in state.plugGaps))
      : []),
    ...pin.toDo.map((_, index) =>
      ask({ kind: 'earlier', index }, say('missing.earlier'), state.earlier[index] !== undefined),
    ),
    ask({ kind: 'valves' }, say('missing.valves'), state.confirmed.has('valves')),
  ]
}
