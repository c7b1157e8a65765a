import { inSafeOrder } from '../../access'
import type { Role } from '../../engine'
import { say, type Text } from '../../said'
import { foundWords } from '../event-words'
import { clearanceWords, disagreeing } from '../figures'
import { gateOf, passedFor, type Requirement, type What } from '../requirements'
import { COVER, partNamed, partsToRemove, PLUG } from '../strip-down'
import { hoursAtRest, type JobView, WARM_FROM_C } from '../view'
import { goOnWithReason, somethingOdd, withReason } from './keys'
import { plugGapThing, plugThing } from './plug'
import { key, type Worded } from './thing'

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

/** Plain parts that are next after this one, which come off with it by one tap. */
function alongWith(view: JobView, item: string): string[] {
  const left = partsToRemove(view.pin.spec.engine).filter(
    ({ name }) => !view.state.cameOff.includes(name) && !passedFor(view, gateOf({ kind: 'off', item: name })),
  )
  const after = left.slice(left.findIndex(p => p.name === item) + 1)
  const end = after.findIndex(p => p.kind === 'cover' || p.kind === 'spark plug')
  return (end < 0 ? after : after.slice(0, end)).map(p => p.name)
}

function offThing(view: JobView, item: string): Worded {
  const { engine } = view.pin.spec
  const part = partNamed(engine, item)
  const also = engine.parts && part.kind !== 'cover' && part.kind !== 'spark plug' ? alongWith(view, item) : []
  return {
    label: say('off.label'),
    instruction: item === PLUG ? say('off.plug') : item === COVER ? say('off.cover') : say('off.item', { item }),
    stage: { kind: 'list' },
    why: engine.parts
      ? say('part.off', { part })
      : item === COVER
        ? say('off.cover.why', { pattern: engine.coverPattern })
        : item === PLUG
          ? say('off.plug.why')
          : say('off.why'),
    keys: [
      key(say('key.off'), say('key.off.help'), { type: 'came-off', payload: { item } }),
      ...(also.length > 0
        ? [
            key(say('key.all-off', { count: also.length + 1 }), say('key.all-off.help', { last: also.at(-1)! }), {
              type: 'came-off',
              payload: { item, also },
            }),
          ]
        : []),
      withReason(say('key.stays-on')),
      // both stand under More as well, where a key more would push the foot off the screen
      ...(also.length > 0 ? [] : [key(say('key.removed-else'), say('key.removed-else.help'), null, 'item-off')]),
      key(say('key.put-in'), say('key.put-in.help'), null, 'item-in'),
    ],
  }
}

/** What an earlier visit found and nobody did: asked about before the work goes on. */
function earlierThing({ pin }: JobView, index: number): Worded {
  const earlier = pin.toDo[index]!
  return {
    label: say('earlier.label'),
    instruction: say('earlier', { part: earlier.part, words: foundWords(earlier) }),
    why: say('earlier.why', { jobNumber: earlier.jobNumber, date: earlier.date, end: earlier.end }),
    stage: { kind: 'list' },
    keys: [
      key(say('key.done-meanwhile'), say('key.done-meanwhile.help'), {
        type: 'earlier-finding',
        payload: { index, now: 'done' },
      }),
      key(say('key.still-to-do'), say('key.still-to-do.help'), {
        type: 'earlier-finding',
        payload: { index, now: 'still' },
      }),
      withReason(say('key.cannot-see')),
    ],
  }
}

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
  'safe': ({ pin }: JobView): Worded => ({
    label: say('safe.label'),
    instruction: pin.spec.engine.safe?.length ? say('safe.things') : say('safe'),
    stage: { kind: 'list' },
    why: pin.spec.engine.safe?.length
      ? say('safe.things.why', { things: inSafeOrder(pin.spec.engine.safe) })
      : say('safe.why'),
    keys: [key(say('key.all-done'), say('key.all-done.help'), confirm('safe')), somethingOdd],
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
  if (what.kind === 'earlier') return earlierThing(view, what.index)
  if (what.kind === 'plug-read') return plugThing(view, what.item)
  if (what.kind === 'plug-gap') return plugGapThing(view, what.item)
  return THINGS[what.kind as keyof typeof THINGS](view)
}
