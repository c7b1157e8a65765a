import { say } from '../../said'
import { unsettledRoles } from '../figures'
import { PLUG, stripList } from '../strip-down'
import { isCold, type JobView } from '../view'
import { type Asked, ask } from './requirement'

/** Before anything is turned. */
export function ready({ state, pin, tools, ...view }: JobView): Asked[] {
  const { engine, status } = pin.spec
  const gone = new Set(state.cameOff)
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
    ...stripList(engine.stripDown).map(item =>
      ask({ kind: 'off', item }, say('missing.off', { item }), gone.has(item)),
    ),
    ...(onRecord
      ? [ask({ kind: 'plug-read' }, say('missing.plug-read'), state.plugRead !== null || !gone.has(PLUG))]
      : []),
    ask({ kind: 'valves' }, say('missing.valves'), state.confirmed.has('valves')),
  ]
}
