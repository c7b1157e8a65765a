import type { Role } from '../../engine'
import { say, type Text } from '../../said'
import { clearanceWords, disagreeing } from '../figures'
import type { Requirement, What } from '../requirements'
import { COVER, PLUG } from '../strip-down'
import { hoursAtRest, type JobView, WARM_FROM_C } from '../view'
import { goOnWithReason, somethingOdd, withReason } from './keys'
import { type Worded, key } from './thing'

const confirm = (item: 'machine' | 'spec' | 'valves' | 'safe') => ({ type: 'confirmed' as const, payload: { item } })

function coldWords({ state, pin, nowMs }: JobView): Text {
  const limitC = pin.spec.engine.coldLimitC
  if (state.temperature && state.temperature.celsius > limitC)
    return say('cold.over', { celsius: state.temperature.celsius, limitC })
  const rested = hoursAtRest({ state, nowMs })
  return rested !== null ? say('cold.not-long-enough', { hours: rested, limitC }) : say('cold.why', { limitC })
}

/** Two figures for the same valves: one stands, by a lead's reason. They are never averaged. */
function figureThing({ tools, state }: JobView, role: Role): Worded {
  const { engine } = state.spec ?? tools.pin.spec
  const others = disagreeing(engine, role)
  return {
    label: say('figure.label'),
    instruction: say('figure', { role }),
    stage: { kind: 'figures', role },
    why: say('figure.why', {
      own: clearanceWords(engine.clearance[role]),
      others: others.map(o => clearanceWords(o.clearance)),
    }),
    keys: [
      key(say('key.settle-it'), say('key.settle-it.help'), null, 'figure'),
      key(say('key.continue'), say('key.continue.with-own'), null, 'reason'),
    ],
  }
}

const measureHead = key(say('key.measure-head'), say('key.measure-head.help'), null, 'temperature')
const warmThing = (view: JobView): Worded => ({
  label: say('warm.label'),
  instruction: say('warm'),
  stage: { kind: 'cold' },
  why: [
    view.state.temperature ? say('warm.not-warm', { celsius: view.state.temperature.celsius }) : '',
    say('warm.why', { fromC: WARM_FROM_C }),
  ],
  keys: [measureHead, goOnWithReason],
})
const coldThing = (view: JobView): Worded => ({
  label: say('cold.label'),
  instruction: say('cold'),
  stage: { kind: 'cold' },
  why: coldWords(view),
  keys: [
    measureHead,
    key(say('key.parked-overnight'), say('key.parked-overnight.help'), { type: 'rested', payload: { hours: 12 } }),
    key(say('key.parked-4h'), say('key.parked-4h.help'), { type: 'rested', payload: { hours: 4 } }),
    key(say('key.type-hours'), say('key.type-hours.help'), null, 'hours'),
  ],
})

function offThing({ pin }: JobView, item: string): Worded {
  return {
    label: say('off.label'),
    instruction: item === PLUG ? say('off.plug') : item === COVER ? say('off.cover') : say('off.item', { item }),
    stage: { kind: 'list' },
    why: item === COVER ? say('off.cover.why', { pattern: pin.spec.engine.coverPattern }) : say('off.why'),
    keys: [
      key(say('key.off'), say('key.off.help'), { type: 'came-off', payload: { item } }),
      withReason(say('key.stays-on')),
      key(say('key.removed-else'), say('key.removed-else.help'), null, 'item-off'),
      key(say('key.put-in'), say('key.put-in.help'), null, 'item-in'),
    ],
  }
}

/** How a plug looks, as the job keeps it, and what that says. */
const LOOKS = [
  ['Gray to brown', 'gray-to-brown'],
  ['Black or wet', 'black-or-wet'],
  ['White, blistered', 'white-blistered'],
  ['Not looked at', 'not-looked-at'],
] as const

/** What each requirement before the work is worded as. */
const THINGS = {
  'machine': (view: JobView): Worded => ({
    label: say('machine.label'),
    instruction: say('machine', { machine: view.pin.machine.name }),
    stage: { kind: 'start' },
    why: say('machine.why', { model: view.pin.modelName, tag: view.pin.machine.tag }),
    keys: [key(say('key.yes'), say('key.yes.machine'), confirm('machine')), somethingOdd],
  }),
  'spec': (view: JobView): Worded => ({
    label: say('spec.label'),
    instruction: say('spec'),
    stage: { kind: 'start' },
    why: say('spec.why', { revision: view.pin.spec.revision, source: view.pin.spec.engine.source }),
    keys: [key(say('key.yes'), say('key.yes.spec'), confirm('spec')), somethingOdd],
  }),
  'spec-approved': (): Worded => ({
    label: say('draft.label'),
    instruction: say('draft'),
    stage: { kind: 'start' },
    why: say('draft.why'),
    keys: [goOnWithReason],
  }),
  'cold': (view: JobView): Worded => (view.pin.spec.engine.setWhen === 'hot' ? warmThing(view) : coldThing(view)),
  'safe': (): Worded => ({
    label: say('safe.label'),
    instruction: say('safe'),
    stage: { kind: 'list' },
    why: say('safe.why'),
    keys: [key(say('key.all-done'), say('key.all-done.help'), confirm('safe')), somethingOdd],
  }),
  'plug-read': ({ pin }: JobView): Worded => ({
    label: say('plug.label'),
    instruction: say('plug'),
    stage: { kind: 'list' },
    why: [say('plug.why'), pin.spec.engine.plugGap ? say('plug.gap', { gap: pin.spec.engine.plugGap }) : ''],
    keys: LOOKS.map(([look, id]) =>
      key(say(`plug.${id}`), say(`plug.${id}.help`), { type: 'plug-read', payload: { look } }),
    ),
  }),
  'valves': (): Worded => ({
    label: say('valves.label'),
    instruction: say('valves'),
    stage: { kind: 'head' },
    why: say('valves.why'),
    keys: [
      key(say('key.found-both'), say('key.found-both.help'), confirm('valves')),
      key(say('key.not-as-drawn'), say('key.write-down'), null, 'finding'),
    ],
  }),
} satisfies Partial<Record<What['kind'], (view: JobView) => Worded>>

/** The Ready step, one thing at a time. */
export function readyThing(view: JobView, { what }: Requirement): Worded {
  if (what.kind === 'figure') return figureThing(view, what.role)
  if (what.kind === 'off') return offThing(view, what.item)
  return THINGS[what.kind as keyof typeof THINGS](view)
}
