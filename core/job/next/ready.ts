import type { Role } from '../../engine'
import { clearanceWords, disagreeing } from '../figures'
import type { Requirement, What } from '../requirements'
import { COVER, PLUG } from '../strip-down'
import { hoursAtRest, type JobView, WARM_FROM_C } from '../view'
import { type Worded, key } from './thing'

const confirm = (item: 'machine' | 'spec' | 'valves' | 'safe') => ({ type: 'confirmed' as const, payload: { item } })

const coldWords = ({ state, pin, nowMs }: JobView): string => {
  const limit = `${pin.spec.engine.coldLimitC} °C`
  if (state.temperature && state.temperature.celsius > pin.spec.engine.coldLimitC)
    return `${state.temperature.celsius} °C is over the ${limit} limit. Clearances set warm come out wrong.`
  const rested = hoursAtRest({ state, nowMs })
  if (rested !== null)
    return `${rested.toFixed(1)} h parked is less than 4 h. Measure the head, or wait until it is under ${limit}.`
  return `Clearances are set cold: head under ${limit}, or parked 4 hours or more.`
}

/** Two figures for the same valves: one stands, by a lead's reason. They are never averaged. */
function figureThing({ tools, state }: JobView, role: Role): Worded {
  const { engine } = state.spec ?? tools.pin.spec
  const others = disagreeing(engine, role)
  return {
    label: 'Two figures',
    instruction: `Which figure is right for the ${role}?`,
    stage: { kind: 'figures', role },
    why: `The source gives ${clearanceWords(engine.clearance[role])}, or ${others.map(o => clearanceWords(o.clearance)).join(', or ')}. A lead decides, and says why.`,
    keys: [
      key('Settle it', 'a lead’s choice, with a reason', null, 'figure'),
      key('Continue', 'with the spec’s own; say why', null, 'reason'),
    ],
  }
}

const warmThing = (view: JobView): Worded => ({
  label: 'Warm engine',
  instruction: 'How warm is the head?',
  stage: { kind: 'cold' },
  why: `${view.state.temperature ? `${view.state.temperature.celsius} °C is not warm. ` : ''}This source sets clearances hot: run it until it is warm all through, ${WARM_FROM_C} °C or more at the head, as the manual says. Watch out for hot parts.`,
  keys: [
    key('Measure the head', 'type the temperature', null, 'temperature'),
    key('Continue', 'say why', null, 'reason'),
  ],
})
const coldThing = (view: JobView): Worded => ({
  label: 'Cold engine',
  instruction: 'How cold is the engine?',
  stage: { kind: 'cold' },
  why: coldWords(view),
  keys: [
    key('Measure the head', 'type the temperature', null, 'temperature'),
    key('Parked overnight', '12 h or more', { type: 'rested', payload: { hours: 12 } }),
    key('Parked 4 h or more', 'not run since', { type: 'rested', payload: { hours: 4 } }),
    key('Type the hours', 'since it last ran', null, 'hours'),
  ],
})

function offThing({ pin }: JobView, item: string): Worded {
  return {
    label: 'Access',
    instruction:
      item === PLUG ? 'Remove the spark plug' : item === COVER ? 'Remove the valve cover' : `Remove: ${item}`,
    stage: { kind: 'list' },
    why:
      item === COVER
        ? `Loosen the bolts ${pin.spec.engine.coverPattern || 'crosswise'}, a little at a time. Put a rag under it; look for dents.`
        : 'Into the labeled tray; note odd bolt lengths. List here whatever goes in, rags too.',
    keys: [
      key('It’s off', 'in the tray', { type: 'came-off', payload: { item } }),
      key('It stays on', 'say why', null, 'reason'),
      key('Removed something else', 'add it to the list', null, 'item-off'),
      key('Put something in', 'rag, tape, cap', null, 'item-in'),
    ],
  }
}

/** What each requirement before the work is worded as. */
const THINGS = {
  'machine': (view: JobView): Worded => ({
    label: 'Right machine',
    instruction: `Is this the ${view.pin.machine.name}?`,
    stage: { kind: 'start' },
    why: `Check the plate and the tag: ${view.pin.modelName}, tag ${view.pin.machine.tag}.`,
    keys: [
      key('Yes', 'plate and tag match', confirm('machine')),
      key('Something is odd', 'write it down', null, 'finding'),
    ],
  }),
  'spec': (view: JobView): Worded => ({
    label: 'Right spec',
    instruction: 'Is this the right spec?',
    stage: { kind: 'start' },
    why: `Revision ${view.pin.spec.revision}: ${view.pin.spec.engine.source}. A later bulletin overrides it.`,
    keys: [
      key('Yes', 'no later bulletin known', confirm('spec')),
      key('Something is odd', 'write it down', null, 'finding'),
    ],
  }),
  'spec-approved': (): Worded => ({
    label: 'Draft spec',
    instruction: 'No lead has approved this spec',
    stage: { kind: 'start' },
    why: 'Ask a lead to approve it. Or continue and say why: the sheet will show it.',
    keys: [key('Continue', 'say why', null, 'reason')],
  }),
  'cold': (view: JobView): Worded => (view.pin.spec.engine.setWhen === 'hot' ? warmThing(view) : coldThing(view)),
  'safe': (): Worded => ({
    label: 'Safe',
    instruction: 'Make sure it can’t start',
    stage: { kind: 'list' },
    why: 'Plug wire off and grounded, key out, fuel off; stand and chocks firm; clean around the cover and the plug.',
    keys: [
      key('All done', 'it can’t start', confirm('safe')),
      key('Something is odd', 'write it down', null, 'finding'),
    ],
  }),
  'plug-read': (view: JobView): Worded => ({
    label: 'Plug',
    instruction: 'What does the plug look like?',
    stage: { kind: 'list' },
    why: `Light gray to brown is good; anything else is worth telling the owner.${view.pin.spec.engine.plugGap ? ` Gap ${view.pin.spec.engine.plugGap}.` : ''}`,
    keys: ['Gray to brown', 'Black or wet', 'White, blistered', 'Not looked at'].map((look, i) =>
      key(look, ['burning well', 'rich, oil or weak spark', 'lean or hot', 'no claim made'][i]!, {
        type: 'plug-read',
        payload: { look },
      }),
    ),
  }),
  'valves': (): Worded => ({
    label: 'Which valve is which',
    instruction: 'Find intake and exhaust on the head',
    stage: { kind: 'head' },
    why: 'Intake is on the carburetor side, exhaust on the muffler side.',
    keys: [key('Found both', 'as drawn', confirm('valves')), key('Not as drawn', 'write it down', null, 'finding')],
  }),
} satisfies Partial<Record<What['kind'], (view: JobView) => Worded>>

/** The Ready step, one thing at a time. */
export function readyThing(view: JobView, { what }: Requirement): Worded {
  if (what.kind === 'figure') return figureThing(view, what.role)
  if (what.kind === 'off') return offThing(view, what.item)
  return THINGS[what.kind as keyof typeof THINGS](view)
}
