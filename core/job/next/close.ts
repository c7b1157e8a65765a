import { say } from '../../said'
import { dueByForecast, dueWords, suggestedDue } from '../due'
import { eventWords } from '../event-words'
import type { Requirement } from '../requirements'
import { COVER, itemWords, partNamed } from '../strip-down'
import type { JobView } from '../view'
import { complaintThing, elseThing } from './cured'
import { leaveIt } from './keys'
import { liveThing, nutsThing, refitThing, tightenThing } from './refit'
import { key, type Worded } from './thing'

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
  const { engine } = view.pin.spec
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
  if (what.kind === 'back') return refitThing(view, what.item)
  if (what.kind === 'nuts') return nutsThing(view)
  if (what.kind === 'live') return liveThing(view)
  if (what.kind === 'complaint') return complaintThing(view, what.complaint)
  if (what.kind === 'else') return elseThing(view, what.complaint)
  if (what.kind === 'gasket')
    return {
      label: say('gasket.label'),
      instruction: what.item === COVER ? say('gasket') : say('gasket.of', { item: itemWords(what.item) }),
      stage,
      why: engine.parts
        ? say('part.seal', { part: partNamed(engine, what.item), spec: engine.gasket })
        : engine.gasket
          ? say('gasket.why', { gasket: engine.gasket })
          : say('gasket.why.none'),
      keys: (['new', 'used again', 'compound'] as const).map(choice =>
        key(say(`gasket.key.${choice}`), say(`gasket.key.${choice}.help`), {
          type: 'gasket',
          payload: { choice, note: '', ...(what.item === COVER ? {} : { item: what.item }) },
        }),
      ),
    }
  if (what.kind === 'torque') return tightenThing(view, what.item)
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
      due.use !== null || due.date !== null || forecast
        ? key(say('key.another-date'), say('key.choose-day.help'), null, 'due')
        : key(say('key.choose-day'), say('key.choose-day.help'), null, 'due'),
      key(say('key.none'), say('key.none.help'), { type: 'next-due', payload: { use: null, date: null } }),
    ],
  }
}
