import { unsettledRoles } from '../figures'
import { PLUG, stripList } from '../strip-down'
import { isCold, type JobView } from '../view'
import { type Asked, ask } from './requirement'

/** Before anything is turned. */
export function ready({ state, pin, tools, ...view }: JobView): Asked[] {
  const { engine, status } = pin.spec
  const gone = new Set(state.cameOff)
  return [
    ask({ kind: 'machine' }, 'The machine was not confirmed.', state.confirmed.has('machine')),
    ask({ kind: 'spec' }, 'The spec was not confirmed.', state.confirmed.has('spec')),
    ...unsettledRoles((state.spec ?? tools.pin.spec).engine, state).map(role =>
      ask(
        { kind: 'figure', role },
        `Two figures are printed for the ${role}, and no lead has said which is right.`,
        false,
      ),
    ),
    ask({ kind: 'spec-approved' }, 'The spec is a draft that no lead has approved.', status === 'approved'),
    ask(
      { kind: 'cold' },
      `The engine is not known to be ${engine.setWhen === 'hot' ? 'warm as the maker asks' : `cold (limit ${engine.coldLimitC} °C)`}.`,
      isCold({ state, pin, nowMs: view.nowMs }),
    ),
    ask({ kind: 'safe' }, 'Nobody confirmed that the engine cannot start.', state.confirmed.has('safe')),
    ...stripList(engine.stripDown).map(item =>
      ask({ kind: 'off', item }, `“${item}” did not come off.`, gone.has(item)),
    ),
    ask({ kind: 'plug-read' }, 'The plug was not read.', state.plugRead !== null || !gone.has(PLUG)),
    ask({ kind: 'valves' }, 'Which valve is which was not confirmed.', state.confirmed.has('valves')),
  ]
}
