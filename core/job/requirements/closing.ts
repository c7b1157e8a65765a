import { formatTorque } from '../../units'
import type { JobView } from '../view'
import { COVER, itemWords, PLUG } from '../strip-down'
import { type Asked, ask } from './requirement'

/** What went in comes out, the reverse of what came off, and the record. */
export function closing({ state, pin }: JobView): Asked[] {
  const { torques } = pin.spec.engine
  const torque = (what: 'cover' | 'plug', nm: number | null) =>
    ask(
      { kind: 'torque', what },
      `The ${what} was not tightened${nm === null ? '' : ` to ${formatTorque(nm)}`}.`,
      state.torqued[what] !== undefined,
    )
  return [
    {
      ...ask({ kind: 'unplaced' }, 'Answers of two devices have no order yet.', state.unplaced.length === 0),
      firm: true,
    },
    ...state.putIn.map(item =>
      ask({ kind: 'out', item }, `“${item}” went in and was not seen to come out.`, state.cameOut.has(item)),
    ),
    ask({ kind: 'gasket' }, 'Nothing was said of the gasket.', state.gasket !== null),
    ...[...state.cameOff]
      .reverse()
      .flatMap(item => [
        ask(
          { kind: 'back', item },
          `${itemWords(item)} was removed and not seen to go back.`,
          state.wentBack.has(item),
        ),
        ...(item === COVER
          ? [torque('cover', torques.coverNm)]
          : item === PLUG
            ? [torque('plug', torques.plugNm)]
            : []),
      ]),
    ask({ kind: 'ran' }, 'The engine was not run.', state.ran !== null),
    ask({ kind: 'next-due' }, 'Nothing was said of the next check.', state.nextDue !== null),
  ]
}
