import { cheapestToLookAtAgain, type Happening, type JobView, type NextThing, nextThing } from '../job'
import type { VirtualHand } from './hand'

/** One answer of a job that was worked through, with what was asked. */
export interface Worked {
  next: NextThing
  happening: Happening
  wrong: boolean
  again: boolean
}

/**
 * Leads a virtual engine through a job, answer by answer, until it is signed or somebody stops it. Where two answers
 * cannot both be so, it first looks at the cheaper one once more, as the Bench asks, once at a place.
 * @param record takes each answer into the log before the next is asked for
 * @returns what was asked and answered
 * @throws Error when the job does not end
 */
export async function workThrough(
  hand: VirtualHand,
  look: () => JobView,
  record: (h: Happening, worked: Worked, view: JobView) => Promise<void> | void,
  stop: (next: NextThing) => boolean = () => false,
  most = 250,
): Promise<Worked[]> {
  const story: Worked[] = []
  for (const step of steps(hand, look, stop, most)) {
    story.push(step.worked)
    await record(step.worked.happening, step.worked, step.view)
    if (step.worked.happening.type === 'closed') return story
  }
  return story
}

/** Who watches a hand: told what is asked before anything is done. */
export type Watcher = (view: JobView, next: NextThing) => void

/**
 * The answers one after the other; whoever takes one records it before asking for the next.
 * @throws StuckError after so many answers without an end
 */
export function* steps(
  hand: VirtualHand,
  look: () => JobView,
  stop: (next: NextThing) => boolean = () => false,
  most = 250,
  watch: Watcher = () => undefined,
): Generator<{ worked: Worked; view: JobView }> {
  const lookedAgain = new Set<string>()
  for (let i = 0; i < most; i++) {
    const view = look()
    const next = nextThing(view)
    if (stop(next)) return
    const clashing = cheapestToLookAtAgain(view)
    const place = `${view.state.places} ${clashing && JSON.stringify({ ...clashing.observation, slack: 0 })}`
    const again = clashing !== null && next.step === 'find' && !lookedAgain.has(place)
    if (again) lookedAgain.add(place)
    watch(view, next)
    const happening = again ? hand.again(clashing.observation) : hand.answer(next)
    yield { worked: { next, happening, wrong: hand.lastWrong, again }, view }
  }
  throw new StuckError(most)
}

/** A job that did not come to its end. */
export class StuckError extends Error {
  constructor(readonly answers: number) {
    super(`Not signed after ${answers} answers.`)
    this.name = 'StuckError'
  }
}
