import { backInGroups, inSafeOrder } from '../../access'
import { say } from '../../said'
import { gateOf, nutsToCheck, passedFor } from '../requirements'
import { COVER, itemWords, partNamed, PLUG } from '../strip-down'
import type { JobView } from '../view'
import { withReason } from './keys'
import { key, type Worded } from './thing'

const stage: Worded['stage'] = { kind: 'close' }

/** Every locknut is gone over, touched or not: one that was left loose wrecks the valve train. */
export function nutsThing(view: JobView): Worded {
  const count = nutsToCheck(view)
  const { nutsChecked } = view.state
  return {
    label: say('nuts.label'),
    instruction: say('nuts'),
    why: nutsChecked === null ? say('nuts.why', { count }) : say('nuts.other', { count, said: nutsChecked }),
    stage,
    keys: [
      key(say('key.nuts', { count }), say('key.nuts.help'), { type: 'nuts-checked', payload: { count } }),
      key(say('key.another-count'), say('key.type-it'), null, 'count'),
      withReason(say('key.not-done')),
    ],
  }
}

/** What goes back next, the exact reverse of what came off: parts that want nothing but their place together. */
export function refitThing(view: JobView, item: string): Worded {
  const { engine } = view.pin.spec
  // what is left off with a reason is not back by a key for the others
  const off = view.state.cameOff
    .filter(name => !view.state.wentBack.has(name) && !passedFor(view, gateOf({ kind: 'back', item: name })))
    .map(name => partNamed(engine, name))
  const group = backInGroups(off).find(({ parts }) => parts.some(p => p.name === item))?.parts ?? []
  const part = partNamed(engine, item)
  const { torqueNm } = part
  // a plug or a cap is one thing to screw in: it is torqued as it goes back
  const isOne = part.kind === 'spark plug' || part.kind === 'screw cap'
  const also = engine.parts ? group.filter(p => p.name !== item).map(p => p.name) : []
  return {
    label: say('refit.label'),
    instruction: say('refit', { item: itemWords(item) }),
    why: engine.parts
      ? say('part.back', { part, gasket: engine.gasket })
      : item === PLUG
        ? say('refit.plug.why')
        : say('refit.why'),
    stage,
    keys: [
      ...(engine.parts && torqueNm !== null && isOne
        ? [
            key(say('key.back-torqued', { torqueNm }), say('key.back-torqued.help'), {
              type: 'went-back',
              payload: { item, torqueNm },
            }),
          ]
        : []),
      key(say('key.back'), say('key.back.help'), { type: 'went-back', payload: { item } }),
      ...(also.length > 0
        ? [
            key(say('key.all-back', { count: also.length + 1 }), say('key.all-back.help', { last: also.at(-1)! }), {
              type: 'went-back',
              payload: { item, also },
            }),
          ]
        : []),
      withReason(say('key.leave-off')),
    ],
  }
}

/** A part that is torqued, or tightened evenly where no figure is on record. */
export function tightenThing({ pin }: JobView, item: string): Worded {
  const { engine } = pin.spec
  const part = partNamed(engine, item)
  const { torqueNm } = part
  const old = item === COVER ? 'cover' : item === PLUG ? 'plug' : null
  return {
    label: old ? say(`tighten.${old}.label`) : say('tighten.label'),
    stage,
    instruction: old
      ? torqueNm === null
        ? say('tighten.evenly', { part: old })
        : say('tighten.torque', { part: old, torqueNm })
      : say('tighten.part', { item: itemWords(item), torqueNm }),
    why:
      old === null
        ? say('part.tighten', { part })
        : torqueNm === null
          ? say('tighten.evenly.why')
          : old === 'cover'
            ? say('tighten.cover.why', { torqueNm, pattern: engine.coverPattern })
            : say('tighten.plug.why', { torqueNm }),
    keys: [
      key(say('key.done'), torqueNm === null ? say('key.done.even') : say('key.done.wrench'), {
        type: 'torqued',
        payload: old ? { what: old, torqueNm } : { what: 'part', item, torqueNm },
      }),
      withReason(say('key.not-done')),
    ],
  }
}

/** What was made safe is given back in reverse: nothing is run before. */
export function liveThing({ pin }: JobView): Worded {
  const things = inSafeOrder(pin.spec.engine.safe ?? []).reverse()
  return {
    label: say('live.label'),
    instruction: say('live'),
    why: say('live.why', { things }),
    stage,
    keys: [
      key(say('key.all-live'), say('key.all-live.help'), { type: 'confirmed', payload: { item: 'live' } }),
      withReason(say('key.not-done')),
    ],
  }
}
