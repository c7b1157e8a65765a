import { valveById } from '../../engine'
import { type Advice, adviseNext, type Observation } from '../../position'
import type { Place } from '../../stops'
import type { Happening } from '../event'
import type { JobView } from '../view'
import { dropWords, placeWords, turningWords, untilWords } from '../words'
import { type Draft, key } from './thing'

const crank = (...observations: Observation[]): Happening => ({ type: 'crank', payload: { observations } })
const lost = key('I lost track', 'turned back, or looked away', crank({ kind: 'lost' }))

function moveDraft(view: JobView, advice: Extract<Advice, { kind: 'move' }>): Draft {
  const { engine } = view.pin.spec
  const { to, turns } = advice
  const lastPlaceIs = (place: Place) => JSON.stringify(lastPlace(view)) === JSON.stringify(place)
  const arrived: Observation = turns ? { kind: 'turns', turns, to } : { kind: 'move', to }
  const round: Observation[] = turns ? [{ kind: 'turns', turns: turns + 1, to }] : [{ kind: 'move', to }, { kind: 'turns', turns: 1, to }]
  const why: Record<typeof advice.why, string> = {
    'start': to.kind === 'mark' ? `It shows twice in a cycle; the rockers will tell which. Line in ${engine.markWindow}.` : 'The piston tops twice in a cycle; the rockers will tell which. Wood or plastic rod, never steel.',
    'neither has play': 'Neither rocker has play: most likely the exhaust TDC. The next one is compression.',
    'one has play': to.kind === 'rod-drop' ? 'A decompressor may be holding one open. Past top it has let go: then feel again.' : 'Other stroke, or a valve without clearance: one turn on will tell.',
    'stop is elsewhere': to.kind === 'rod-drop' ? `Past top no decompressor holds a valve: ${dropWords(to.dropMm)} down, ${Math.round(advice.turnDeg ?? 0)}° on.` : `The stop is ${Math.round(advice.turnDeg ?? 0)}° on.`,
    'try the other top': 'That did not settle it. Feel both again at the next top.',
  }
  const title = to.kind === 'mark' ? `${placeWords(engine, to)} is there` : to.kind === 'piston-top' ? 'Rod at its highest' : `${to.dropMm} mm down`
  return {
    label: `Turn ${turningWords(engine)}`,
    instruction: turns ? lastPlaceIs(to) ? `Turn one full turn on, until ${untilWords(engine, to)}` : `Turn one full turn, then on until ${untilWords(engine, to)}` : `Turn on until ${untilWords(engine, to)}`,
    why: why[advice.why],
    keys: [
      key(title, 'stopped there', crank(arrived)),
      key('Went past it', 'and came round to it again', crank(...round)),
      lost,
    ],
    stage: { kind: 'wheel', target: to, feelValveIds: [] },
  }
}

function feelDraft({ pin, state }: JobView, { valveIds, why }: Extract<Advice, { kind: 'feel' }>): Draft {
  const { engine } = pin.spec
  const play = (valveId: string, slack: boolean): Observation => ({ kind: 'rocker', valveId, slack })
  const [a, b] = valveIds.map(id => valveById(engine, id))
  const stage: Draft['stage'] = { kind: 'wheel', target: null, feelValveIds: valveIds }
  const whyWords = why === 'which stroke'
    ? 'Both slack means compression. Neither moving means the exhaust TDC, or two valves without clearance.'
    : 'The decompressor has let go here: slack now means that it was the decompressor.'
  const label = state.places > 1 ? 'Feel again, here' : 'One feel should settle it'
  if (a && b && valveIds.length === 2) return {
    label, instruction: 'Wiggle both rockers', why: whyWords, stage,
    keys: [
      key('Both slack', 'each clicks', crank(play(a.id, true), play(b.id, true))),
      key(`Only ${a.name.toLowerCase()} slack`, `${b.name.toLowerCase()} does not move`, crank(play(a.id, true), play(b.id, false))),
      key(`Only ${b.name.toLowerCase()} slack`, `${a.name.toLowerCase()} does not move`, crank(play(a.id, false), play(b.id, true))),
      key('Neither moves', 'no play at all', crank(play(a.id, false), play(b.id, false))),
    ],
  }
  const valve = a ?? valveById(engine, valveIds[0]!)
  return {
    label, instruction: `Wiggle the ${valve.name.toLowerCase()} rocker`, why: whyWords, stage: { ...stage, feelValveIds: [valve.id] },
    keys: [key('Slack', 'it clicks', crank(play(valve.id, true))), key('No play', 'it does not move', crank(play(valve.id, false))), lost],
  }
}

function watchDraft({ pin }: JobView, { cylinderId, to, why }: Extract<Advice, { kind: 'watch' }>): Draft {
  const { engine } = pin.spec
  return {
    label: 'This tells the stroke whatever the rockers do',
    instruction: `Watch the intake open and shut, then on to ${placeWords(engine, to)}`,
    why: why === 'no play anywhere' ? 'No play at either top: two valves without clearance, perhaps. Watching tells the stroke.' : 'The rockers do not settle it. An intake that was watched does: no look away in between.',
    keys: [key(`Watched, ${to.kind === 'mark' ? `${placeWords(engine, to)} is there` : 'at the top'}`, 'never looked away', crank({ kind: 'watched', cylinderId, to })), lost],
    stage: { kind: 'wheel', target: to, feelValveIds: [] },
  }
}

/** The Find step: the next whole move or feel. */
export function findThing(view: JobView): Draft {
  const advice = adviseNext(view.tools.model, view.position, view.state.noted)
  const draft = advice.kind === 'move'
    ? moveDraft(view, advice)
    : advice.kind === 'feel'
      ? feelDraft(view, advice)
      : advice.kind === 'watch'
        ? watchDraft(view, advice)
        : { label: 'Found', instruction: 'The valves are closed here', why: '', keys: [], stage: { kind: 'wheel' as const, target: null, feelValveIds: [] } }
  const { clash } = view.position
  return clash ? { ...draft, why: `This hardly fits with ${clashWords(view, clash.against.map(n => n.observation))}. ${draft.why}` } : draft
}

/** The earlier answers that a new one clashes with, named: “what the exhaust rocker felt like before”. */
function clashWords({ pin: { spec: { engine } } }: JobView, against: Observation[]): string {
  const say = (o: Observation): string => {
    switch (o.kind) {
      case 'rocker': case 'blade': return `the ${valveById(engine, o.valveId).name.toLowerCase()} ${(o.kind === 'rocker' ? o.slack : o.went) ? 'having play' : 'having no play'}`
      case 'seen': return `seeing ${placeWords(engine, o.place)}`
      case 'watched': return 'the intake that was watched'
      case 'move': case 'turns': return `the turn to ${placeWords(engine, o.to)}`
      default: return 'the last turn'
    }
  }
  return against.length > 2 ? 'what was seen before: look at it again' : against.map(say).join(' and ')
}

/** The place the crank was last brought to, for asking whether it is still there. */
export function lastPlace({ state }: JobView): Place | null {
  const last = state.noted.findLast(n => n.observation.kind === 'move' || n.observation.kind === 'turns' || n.observation.kind === 'watched' || n.observation.kind === 'seen')?.observation
  return last?.kind === 'seen' ? last.place : last && 'to' in last ? last.to : null
}
