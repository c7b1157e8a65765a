import { formatTorque } from '../../units'
import { dueByForecast, dueWords, suggestedDue } from '../due'
import { eventWords } from '../event-words'
import type { Requirement } from '../requirements'
import { itemWords } from '../strip-down'
import type { JobView } from '../view'
import { type Worded, key } from './thing'

/** An answer of one device that had not seen the other's movement: nothing is signed before it has its place. */
function placeDraft({ state, pin }: JobView): Worded {
  const event = state.unplaced[0]!
  const placed = (when: 'before' | 'after') => ({ type: 'placed', payload: { eventId: event.id, when } }) as const
  return {
    label: 'Two devices',
    instruction: 'Was this before or after the move?',
    why: `${event.personName}: ${eventWords(pin, event)}. Meanwhile the other device moved the crank or a screw.`,
    stage: { kind: 'close' },
    keys: [
      key('Before', 'it counts where you felt it', placed('before')),
      key('After', 'it counts after the move', placed('after')),
      key('Leave it out', 'it doesn’t count', {
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
      label: 'Rags out',
      instruction: `Take out: ${what.item}`,
      why: 'A rag left in an intake goes through the engine.',
      stage,
      keys: [
        key('It’s out', 'seen and counted', { type: 'came-out', payload: { item: what.item } }),
        key('Leave it', 'say why', null, 'reason'),
      ],
    }
  if (what.kind === 'back')
    return {
      label: 'Refit',
      instruction: `Put back: ${itemWords(what.item)}`,
      why: 'Start the awkward bolt by hand first; tighten none before all are in.',
      stage,
      keys: [
        key('It’s back', 'fastened', { type: 'went-back', payload: { item: what.item } }),
        key('Leave it off', 'say why', null, 'reason'),
      ],
    }
  if (what.kind === 'gasket')
    return {
      label: 'Gasket',
      instruction: 'Which gasket goes on the cover?',
      stage,
      why: gasket ? `The spec says: ${gasket}. Clean the faces first.` : 'The spec doesn’t say. Clean the faces first.',
      keys: [
        key('A new one', 'seated all around', { type: 'gasket', payload: { choice: 'new', note: '' } }),
        key('The old one', 'sound, used again', { type: 'gasket', payload: { choice: 'used again', note: '' } }),
        key('Compound', 'left to skin first', { type: 'gasket', payload: { choice: 'compound', note: '' } }),
      ],
    }
  if (what.kind === 'torque') {
    const part = what.what
    const nm = part === 'cover' ? torques.coverNm : torques.plugNm
    return {
      label: part === 'cover' ? 'Cover bolts' : 'Plug',
      stage,
      instruction: nm === null ? `Tighten the ${part} evenly` : `Torque the ${part} to ${Number(nm.toFixed(1))} N·m`,
      why:
        nm === null
          ? 'The spec gives no torque: go by the maker’s manual. Too tight cracks or strips.'
          : `${formatTorque(nm)}${part === 'cover' ? `, ${coverPattern || 'crosswise'}, a little at a time` : ', each wire on its own plug'}.`,
      keys: [
        key('Done', nm === null ? 'even and firm' : 'with the wrench', {
          type: 'torqued',
          payload: { what: part, torqueNm: nm },
        }),
        key('Not done', 'say why', null, 'reason'),
      ],
    }
  }
  if (what.kind === 'ran')
    return {
      label: 'Run it',
      instruction: 'Run it outdoors a few minutes',
      why: 'It should start and idle with no tick and no weep. Check caps and bolts again after.',
      stage,
      keys: (['clean', 'ticks', 'weeps', 'will not start'] as const).map((result, i) =>
        key(
          ['Runs clean', 'It ticks', 'It weeps', 'Won’t start'][i]!,
          ['no tick, no weep', 'tell the owner', 'cover or cap', 'write it down after'][i]!,
          { type: 'ran', payload: { result, note: '' } },
        ),
      ),
    }
  const due = suggestedDue(view)
  const forecast = dueByForecast(view)
  return {
    label: 'Next check',
    instruction: 'When is the next check due?',
    stage,
    why:
      forecast !== null
        ? `${forecast.why} Tell the owner.`
        : due.use === null && due.date === null
          ? 'The spec gives no interval. Type what you will tell the owner.'
          : 'By the spec’s interval, whichever comes first. Tell the owner.',
    keys: [
      ...(forecast
        ? [
            key(dueWords(view, forecast), 'sooner: a valve may be out', {
              type: 'next-due',
              payload: { use: forecast.use, date: forecast.date },
            }),
          ]
        : []),
      ...(due.use !== null || due.date !== null
        ? [key(dueWords(view, due), 'by the spec', { type: 'next-due', payload: due })]
        : []),
      key('Another date', 'type it', null, 'due'),
      key('None', 'no date promised', { type: 'next-due', payload: { use: null, date: null } }),
    ],
  }
}
