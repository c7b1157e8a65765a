import { pointsTo } from '../../complaint'
import { say } from '../../said'
import { COVER, hasGasket, isTightened, itemWords, locknutCount, partNamed, PLUG } from '../strip-down'
import type { JobView } from '../view'
import { ask, type Asked } from './requirement'

/** Since this version of the judgement every locknut is gone over before the cover goes on. */
const NUTS_SINCE = 3
/** The locknuts that are to be gone over; 0 where nobody asks. The jobs of practiced hands are their own. */
export const nutsToCheck = ({ pin, tools }: JobView): number =>
  tools.pin.judgementVersion >= NUTS_SINCE && pin.quick === null ? locknutCount(pin.spec.engine) : 0

/** A part back in its place: its seal is chosen before, its torque comes after. */
function backAgain({ state, pin }: JobView, item: string): Asked[] {
  const part = partNamed(pin.spec.engine, item)
  const named = itemWords(item)
  return [
    ...(hasGasket(part)
      ? [ask({ kind: 'gasket', item }, say('missing.seal', { item: named }), state.gaskets[item] !== undefined)]
      : []),
    ask({ kind: 'back', item }, say('missing.back', { item: named }), state.wentBack.has(item)),
    ...(isTightened(part)
      ? [
          ask(
            { kind: 'torque', item },
            item === COVER || item === PLUG
              ? say('missing.torque', { part: item === COVER ? 'cover' : 'plug', torqueNm: part.torqueNm })
              : say('missing.tight', { item: named, torqueNm: part.torqueNm }),
            state.torqued[item] !== undefined,
          ),
        ]
      : []),
  ]
}

/** What became of each complaint, and what else it may be where it stayed. */
function cured({ state, pin }: JobView): Asked[] {
  return pin.complaints
    .filter(c => c !== 'due')
    .flatMap(complaint => {
      const after = state.complaintsAfter[complaint]
      return [
        ask({ kind: 'complaint', complaint }, say('missing.complaint', { complaint }), after !== undefined),
        ...(after === undefined || after === 'gone'
          ? []
          : [
              ask(
                { kind: 'else', complaint },
                say('missing.else', { complaint, valves: pointsTo(complaint).length > 0 }),
                state.findings.some(f => f.about === complaint),
              ),
            ]),
      ]
    })
}

/** What went in comes out, the reverse of what came off, made live again, and the record. */
export function closing(view: JobView): Asked[] {
  const { state, pin } = view
  const { parts, safe } = pin.spec.engine
  const nuts = nutsToCheck(view)
  return [
    {
      ...ask({ kind: 'unplaced' }, say('missing.order'), state.unplaced.length === 0),
      firm: true,
    },
    ...state.putIn.map(item => ask({ kind: 'out', item }, say('missing.out', { item }), state.cameOut.has(item))),
    ...(nuts > 0 ? [ask({ kind: 'nuts' }, say('missing.nuts', { count: nuts }), state.nutsChecked === nuts)] : []),
    // where no parts are told there is one cover, and its gasket is asked for first
    ...(parts ? [] : [ask({ kind: 'gasket', item: COVER }, say('missing.gasket'), state.gaskets[COVER] !== undefined)]),
    ...[...state.cameOff].reverse().flatMap(item => backAgain(view, item)),
    ...(safe?.length && state.confirmed.has('safe')
      ? [ask({ kind: 'live' }, say('missing.live'), state.confirmed.has('live'))]
      : []),
    ask({ kind: 'ran' }, say('missing.ran'), state.ran !== null),
    ...cured(view),
    ask({ kind: 'next-due' }, say('missing.next-due'), state.nextDue !== null),
  ]
}
