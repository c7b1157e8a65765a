import { say } from '../../said'
import type { JobView } from '../view'
import { COVER, itemWords, PLUG } from '../strip-down'
import { type Asked, ask } from './requirement'

/** What went in comes out, the reverse of what came off, and the record. */
export function closing({ state, pin }: JobView): Asked[] {
  const { torques } = pin.spec.engine
  const torque = (what: 'cover' | 'plug', nm: number | null) =>
    ask(
      { kind: 'torque', what },
      say('missing.torque', { part: what, torqueNm: nm }),
      state.torqued[what] !== undefined,
    )
  return [
    {
      ...ask({ kind: 'unplaced' }, say('missing.order'), state.unplaced.length === 0),
      firm: true,
    },
    ...state.putIn.map(item => ask({ kind: 'out', item }, say('missing.out', { item }), state.cameOut.has(item))),
    ask({ kind: 'gasket' }, say('missing.gasket'), state.gasket !== null),
    ...[...state.cameOff]
      .reverse()
      .flatMap(item => [
        ask({ kind: 'back', item }, say('missing.back', { item: itemWords(item) }), state.wentBack.has(item)),
        ...(item === COVER
          ? [torque('cover', torques.coverNm)]
          : item === PLUG
            ? [torque('plug', torques.plugNm)]
            : []),
      ]),
    ask({ kind: 'ran' }, say('missing.ran'), state.ran !== null),
    ask({ kind: 'next-due' }, say('missing.next-due'), state.nextDue !== null),
  ]
}
