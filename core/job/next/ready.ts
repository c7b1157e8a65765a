import type { Role } from '../../engine'
import { clearanceWords, disagreeing } from '../figures'
import type { Requirement, What } from '../requirements'
import { COVER, PLUG } from '../requirements'
import { hoursAtRest, type JobView, WARM_FROM_C } from '../view'
import { type Worded, key } from './thing'

const confirm = (item: 'machine' | 'spec' | 'valves' | 'safe') => ({ type: 'confirmed' as const, payload: { item } })

const coldWords = ({ state, pin, nowMs }: JobView): string => {
  const limit = `${pin.spec.engine.coldLimitC} °C`
  if (state.temperature && state.temperature.celsius > pin.spec.engine.coldLimitC)
    return `${state.temperature.celsius} °C is over the limit of ${limit}. Set warm is set wrong.`
  const rested = hoursAtRest({ state, nowMs })
  if (rested !== null) return `${rested.toFixed(1)} h at rest is under 4 h. Read the head, or wait: under ${limit}.`
  return `Clearances are set cold: head under ${limit}, or 4 h and more at rest.`
}

/** Two figures for the same valves: one stands, by a lead's reason. They are never averaged. */
function figureThing({ tools, state }: JobView, role: Role): Worded {
  const { engine } = state.spec ?? tools.pin.spec
  const others = disagreeing(engine, role)
  return {
    label: 'Two figures',
    instruction: `Which figure stands for the ${role}?`,
    stage: { kind: 'figures', role },
    why: `${clearanceWords(engine.clearance[role])}, or ${others.map(o => clearanceWords(o.clearance)).join(', or ')}. A lead says which, and why.`,
    keys: [
      key('Settle it', 'a lead’s choice, with a reason', null, 'figure'),
      key('Go on', 'by the spec’s own; say why', null, 'reason'),
    ],
  }
}

const warmThing = (view: JobView): Worded => ({
  label: 'Warm engine',
  instruction: 'How warm is the head?',
  stage: { kind: 'cold' },
  why: `${view.state.temperature ? `${view.state.temperature.celsius} °C is not warm. ` : ''}This source sets clearances hot: run it until it is warm through, ${WARM_FROM_C} °C and more at the head, as the manual says. Mind the hot parts.`,
  keys: [key('Read the head', 'type the temperature', null, 'temperature'), key('Go on', 'say why', null, 'reason')],
})
const coldThing = (view: JobView): Worded => ({
  label: 'Cold engine',
  instruction: 'How cold is the engine?',
  stage: { kind: 'cold' },
  why: coldWords(view),
  keys: [
    key('Read the head', 'type the temperature', null, 'temperature'),
    key('Stood overnight', '12 h or more', { type: 'rested', payload: { hours: 12 } }),
    key('Stood 4 h or more', 'not run since', { type: 'rested', payload: { hours: 4 } }),
    key('Type the hours', 'since it last ran', null, 'hours'),
  ],
})

function offThing({ pin }: JobView, item: string): Worded {
  return {
    label: 'Access',
    instruction:
      item === PLUG ? 'Take the spark plug out' : item === COVER ? 'Take the rocker cover off' : `Take off: ${item}`,
    stage: { kind: 'list' },
    why:
      item === COVER
        ? `Bolts ${pin.spec.engine.coverPattern || 'crosswise'}, a little at a time. Rag under it; look for dents.`
        : 'Into the labelled tray; note odd lengths. What goes in, rags too, is listed here.',
    keys: [
      key('It is off', 'in the tray', { type: 'came-off', payload: { item } }),
      key('It stays on', 'say why', null, 'reason'),
      key('Something else off', 'add it to the list', null, 'item-off'),
      key('Something went in', 'rag, tape, cap', null, 'item-in'),
    ],
  }
}

/** What each requirement before the work is worded as. */
const THINGS = {
  'machine': (view: JobView): Worded => ({
    label: 'Right machine',
    instruction: `Is this the ${view.pin.machine.name}?`,
    stage: { kind: 'start' },
    why: `Look at plate and tag: ${view.pin.modelName}, tag ${view.pin.machine.tag}.`,
    keys: [
      key('It is', 'plate and tag agree', confirm('machine')),
      key('Something is odd', 'write it down', null, 'finding'),
    ],
  }),
  'spec': (view: JobView): Worded => ({
    label: 'Right spec',
    instruction: 'Is this its spec?',
    stage: { kind: 'start' },
    why: `Revision ${view.pin.spec.revision}: ${view.pin.spec.engine.source}. A later bulletin would win.`,
    keys: [
      key('It is', 'no later bulletin known', confirm('spec')),
      key('Something is odd', 'write it down', null, 'finding'),
    ],
  }),
  'spec-approved': (): Worded => ({
    label: 'Worded spec',
    instruction: 'No lead has approved this spec',
    stage: { kind: 'start' },
    why: 'Ask a lead to approve it. Or go on with a reason: the sheet will say so.',
    keys: [key('Go on', 'say why', null, 'reason')],
  }),
  'cold': (view: JobView): Worded => (view.pin.spec.engine.setWhen === 'hot' ? warmThing(view) : coldThing(view)),
  'safe': (): Worded => ({
    label: 'Safe',
    instruction: 'Make sure that it cannot start',
    stage: { kind: 'list' },
    why: 'Lead off the plug and grounded, key out, fuel off; stand and chocks firm; clean round cover and plug.',
    keys: [
      key('All done', 'it cannot start', confirm('safe')),
      key('Something is odd', 'write it down', null, 'finding'),
    ],
  }),
  'plug-read': (view: JobView): Worded => ({
    label: 'Plug',
    instruction: 'What does the plug look like?',
    stage: { kind: 'list' },
    why: `Light grey to brown is good; anything else is worth telling the owner.${view.pin.spec.engine.plugGap ? ` Gap ${view.pin.spec.engine.plugGap}.` : ''}`,
    keys: ['Grey to brown', 'Black or wet', 'White, blistered', 'Not looked at'].map((look, i) =>
      key(look, ['burning well', 'rich, oil or weak spark', 'lean or hot', 'nothing is claimed'][i]!, {
        type: 'plug-read',
        payload: { look },
      }),
    ),
  }),
  'valves': (): Worded => ({
    label: 'Which valve is which',
    instruction: 'Find intake and exhaust on the head',
    stage: { kind: 'head' },
    why: 'Intake is on the carburettor side, exhaust on the muffler side.',
    keys: [key('Found both', 'as drawn', confirm('valves')), key('Not as drawn', 'write it down', null, 'finding')],
  }),
} satisfies Partial<Record<What['kind'], (view: JobView) => Worded>>

/** The Ready step, one thing at a time. */
export function readyThing(view: JobView, { what }: Requirement): Worded {
  if (what.kind === 'figure') return figureThing(view, what.role)
  if (what.kind === 'off') return offThing(view, what.item)
  return THINGS[what.kind as keyof typeof THINGS](view)
}
