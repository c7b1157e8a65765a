import { say } from '../../said'
import { dueByForecast, dueWords, suggestedDue } from '../due'
import { eventWords } from '../event-words'
import type { Requirement } from '../requirements'
import { itemWords } from '../strip-down'
import type { JobView } from '../view'
import { leaveIt, withReason } from './keys'
import { type Worded, key } from './thing'

/** An answer of one device that had not seen the other's movement: nothing is signed before it has its place. */
function placeDraft({ state, pin }: JobView): Worded {
  const event = state.unplaced[0]!
  const placed = (when: 'before' | 'after') => ({ type: 'placed', payload: { eventId: event.id, when } }) as const
  return {
    label: say('two-devices.label'),
    instruction: say('two-devices'),
    why: say('two-devices.why', { person: event.personName, answer: eventWords(pin, event) }),
    stage: { kind: 'close' },
    keys: [
      key(say('key.before'), say('key.before.help'), placed('before')),
      key(say('key.after'), say('key.after.help'), placed('after')),
      key(say('key.leave-out'), say('key.leave-out.help'), {
        type: 'retracted',
        payload: { eventId: event.id, how: 'recorded wrongly' },
      }),
    ],
  }
}

/** The Close step: what went in comes out, the reverse of what came off, and the record. */
export function closeThing(view: JobView, { what }: Requirement): Worded {
  const { torques, gasket, coverPattern } = view.pin.spec.engine
  const stage: Worded['stage'] = { kind: 'close' }
  if (what.kind === 'unplaced') return placeDraft(view)
  if (what.kind === 'out')
    return {
      label: say('out.label'),
      instruction: say('out', { item: what.item }),
      why: say('out.why'),
      stage,
      keys: [key(say('key.out'), say('key.out.help'), { type: 'came-out', payload: { item: what.item } }), leaveIt],
    }
  if (what.kind === 'back')
    return {
      label: say('refit.label'),
      instruction: say('refit', { item: itemWords(what.item) }),
      why: say('refit.why'),
      stage,
      keys: [
        key(say('key.back'), say('key.back.help'), { type: 'went-back', payload: { item: what.item } }),
        withReason(say('key.leave-off')),
      ],
    }
  if (what.kind === 'gasket')
    return {
      label: say('gasket.label'),
      instruction: say('gasket'),
      stage,
      why: gasket ? say('gasket.why', { gasket }) : say('gasket.why.none'),
      keys: (['new', 'used again', 'compound'] as const).map(choice =>
        key(say(`gasket.key.${choice}`), say(`gasket.key.${choice}.help`), {
          type: 'gasket',
          payload: { choice, note: '' },
        }),
      ),
    }
  if (what.kind === 'torque') {
    const part = what.what
    const torqueNm = part === 'cover' ? torques.coverNm : torques.plugNm
    return {
      label: say(`tighten.${part}.label`),
      stage,
      instruction: torqueNm === null ? say('tighten.evenly', { part }) : say('tighten.torque', { part, torqueNm }),
      why:
        torqueNm === null
          ? say('tighten.evenly.why')
          : part === 'cover'
            ? say('tighten.cover.why', { torqueNm, pattern: coverPattern })
            : say('tighten.plug.why', { torqueNm }),
      keys: [
        key(say('key.done'), torqueNm === null ? say('key.done.even') : say('key.done.wrench'), {
          type: 'torqued',
          payload: { what: part, torqueNm },
        }),
        withReason(say('key.not-done')),
      ],
    }
  }
  if (what.kind === 'ran')
    return {
      label: say('run.label'),
      instruction: say('run'),
      why: say('run.why'),
      stage,
      keys: (['clean', 'ticks', 'weeps', 'will not start'] as const).map(result =>
        key(say(`run.key.${result}`), say(`run.key.${result}.help`), { type: 'ran', payload: { result, note: '' } }),
      ),
    }
  const due = suggestedDue(view)
  const forecast = dueByForecast(view)
  return {
    label: say('due.label'),
    instruction: say('due'),
    stage,
    why:
      forecast !== null
        ? [forecast.why, say('due.tell-owner')]
        : due.use === null && due.date === null
          ? say('due.no-interval')
          : say('due.by-interval'),
    keys: [
      ...(forecast
        ? [
            key(dueWords(view, forecast), say('key.due.sooner'), {
              type: 'next-due',
              payload: { use: forecast.use, date: forecast.date },
            }),
          ]
        : []),
      ...(due.use !== null || due.date !== null
        ? [key(dueWords(view, due), say('key.due.by-spec'), { type: 'next-due', payload: due })]
        : []),
      key(say('key.another-date'), say('key.type-it'), null, 'due'),
      key(say('key.none'), say('key.none.help'), { type: 'next-due', payload: { use: null, date: null } }),
    ],
  }
}
