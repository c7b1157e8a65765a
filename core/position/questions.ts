import { type Engine, type Place, VALVE_SIGHTS } from '../engine'
import { topPlaces } from '../stops'
import type { Belief } from './belief'
import { likelihoodOf } from './evidence'
import { CELL_DEG, CELLS } from './grid'
import type { PositionModel } from './model'
import { isCamSide, type Noted, type Observation } from './observation'
import { placeHeight } from './places'
import { answersHere } from './segments'
import { CLEAR_OF_DECOMPRESSOR_MM } from './table'

/** What can be looked at or felt here, and what may be answered. */
export type Question =
  | { kind: 'rocker'; valveId: string; answers: Observation[] }
  | { kind: 'push-rods' | 'rocked' | 'thumb'; cylinderId: string; answers: Observation[] }
  | { kind: 'at the pointer' | 'cam signs'; answers: Observation[] }
  | { kind: 'valve seen'; valveId: string; answers: Observation[] }
  | { kind: 'rod'; cylinderId: string; answers: Observation[] }

/**
 * A question with the information that its answer is expected to bring, in bits; 0 for one that was answered here
 * already, with that answer.
 */
export type Offered = Question & { bits: number; answered: Observation | null }

const seen = (place: Place): Observation => ({ kind: 'seen', place })

/** Everything that this engine offers to look at or feel without turning the crank, in the order of its parts. */
export function questionsOf(engine: Engine): Question[] {
  const marks = engine.marks.map((_, markIndex) => seen({ kind: 'mark', markIndex }))
  const signs = engine.camMarks.map((_, camMarkIndex) => seen({ kind: 'cam-mark', camMarkIndex }))
  const yesOrNo = (of: (yes: boolean) => Observation): Observation[] => [of(true), of(false)]
  return [
    ...engine.valves.map((v): Question => ({
      kind: 'rocker',
      valveId: v.id,
      answers: yesOrNo(slack => ({ kind: 'rocker', valveId: v.id, slack })),
    })),
    ...(marks.length ? [{ kind: 'at the pointer', answers: marks } as Question] : []),
    ...(signs.length ? [{ kind: 'cam signs', answers: signs } as Question] : []),
    ...engine.cylinders.flatMap(({ id: cylinderId }): Question[] => [
      {
        kind: 'rod',
        cylinderId,
        answers: [
          seen({ kind: 'piston-top', cylinderId }),
          seen({ kind: 'rod-drop', cylinderId, dropMm: CLEAR_OF_DECOMPRESSOR_MM }),
        ],
      },
      ...(engine.layout === 'push-rods'
        ? [
            {
              kind: 'push-rods',
              cylinderId,
              answers: yesOrNo(level => ({ kind: 'push-rods', cylinderId, level })),
            } as Question,
          ]
        : []),
      { kind: 'rocked', cylinderId, answers: yesOrNo(still => ({ kind: 'rocked', cylinderId, still })) },
      { kind: 'thumb', cylinderId, answers: yesOrNo(pressure => ({ kind: 'thumb', cylinderId, pressure })) },
    ]),
    ...engine.valves.map((v): Question => ({
      kind: 'valve seen',
      valveId: v.id,
      answers: VALVE_SIGHTS.map(sight => seen({ kind: 'valve', valveId: v.id, sight })),
    })),
  ]
}

const entropy = (p: number): number => (p <= 1e-12 ? 0 : -p * Math.log2(p))

/** The chance of each answer at a cell, those of places capped so that they sum to 1 with “none of these”. */
function answerTables(model: PositionModel, { answers }: Question): (h: number, cell: number) => number[] {
  const places = answers.flatMap(a => (a.kind === 'seen' ? [placeHeight(model.engine, a.place)] : []))
  if (places.length) {
    const tables = places.map(height => Float64Array.from({ length: CELLS }, (_, i) => height(i * CELL_DEG)))
    return (_, cell) => {
      const heights = tables.map(t => t[cell]!)
      const sum = heights.reduce((a, b) => a + b, 0)
      const shown = sum > 1 ? heights.map(h => h / sum) : heights
      return [...shown, Math.max(0, 1 - sum)]
    }
  }
  const { valve, usual, none } = likelihoodOf(model, answers[0]!)!
  return (h, cell) => {
    const { noClearance, decompressor } = model.hypotheses[h]!
    const yes = valve >= 0 && noClearance.includes(valve) ? none : usual[decompressor][cell]!
    return [yes, 1 - yes]
  }
}

/** Cells apart at which the information is summed: it needs no finer grid. */
const STEP_CELLS = 4

/** Which valves may be measured at a cell, as bits: all that a decision hangs on, beside the valves' clearances. */
const closedAt = ({ closed }: PositionModel, decompressor: 0 | 1, cell: number): number =>
  closed.reduce((bits, table, v) => (table[decompressor][cell] ? bits | (1 << v) : bits), 0)

/**
 * Information that an answer is expected to bring about which valves are closed and which have no clearance; not about
 * the last degree.
 */
function bitsOf(model: PositionModel, { mass }: Belief, question: Question): number {
  const chances = answerTables(model, question)
  const means: number[] = []
  const known: number[] = []
  for (let h = 0; h < model.hypotheses.length; h++) {
    const classes = new Map<number, { weight: number; answers: number[] }>()
    for (let cell = 0; cell < CELLS; cell += STEP_CELLS) {
      let weight = 0
      for (let i = 0; i < STEP_CELLS; i++) weight += mass[h * CELLS + cell + i]!
      if (weight < 1e-7) continue
      const middle = cell + STEP_CELLS / 2
      const key = closedAt(model, model.hypotheses[h]!.decompressor, middle)
      const own = classes.get(key) ?? { weight: 0, answers: [] }
      own.weight += weight
      chances(h, middle).forEach((p, i) => {
        own.answers[i] = (own.answers[i] ?? 0) + weight * p
      })
      classes.set(key, own)
    }
    for (const { weight, answers } of classes.values())
      answers.forEach((sum, i) => {
        means[i] = (means[i] ?? 0) + sum
        known[i] = (known[i] ?? 0) + weight * entropy(sum / weight)
      })
  }
  // “none of these” cannot be said, so that it tells nothing
  return Math.max(
    0,
    question.answers.reduce((sum, _, i) => sum + entropy(means[i] ?? 0) - (known[i] ?? 0), 0),
  )
}

/**
 * What can be looked at or felt here, that which would tell most first.
 * @param lashDeg how much must still be turned forward before cam and valves can be believed: until then they are left
 *   out
 * @returns each question with the information its answer is expected to bring, in bits; those answered at this place
 *   last Source: mutual information of answer and belief (Cover and Thomas, Elements of Information Theory, ch. 2).
 */
export function questions(model: PositionModel, belief: Belief, noted: Noted[], lashDeg = 0): Offered[] {
  const said = new Map(answersHere(noted).map(n => [JSON.stringify(subject(n.observation)), n.observation]))
  return questionsOf(model.engine)
    .filter(q => !(lashDeg > 0 && q.answers.some(isCamSide)))
    .map(q => {
      const answered = said.get(JSON.stringify(subject(q.answers[0]!))) ?? null
      return { ...q, answered, bits: answered ? 0 : bitsOf(model, belief, q) }
    })
    .sort((a, b) => b.bits - a.bits)
}

/** What an answer is about, so that a question already answered here is not asked again. */
function subject(o: Observation): unknown[] {
  switch (o.kind) {
    case 'rocker':
    case 'blade':
      return ['rocker', o.valveId]
    case 'push-rods':
    case 'rocked':
    case 'thumb':
      return [o.kind, o.cylinderId]
    case 'seen':
      return o.place.kind === 'valve'
        ? ['valve', o.place.valveId]
        : o.place.kind === 'piston-top' || o.place.kind === 'rod-drop'
          ? ['rod', o.place.cylinderId]
          : [o.place.kind]
    default:
      return [o.kind]
  }
}

/** Places that somebody may have turned on to without being asked: tops, stops, signs. */
export function placesToTell(model: PositionModel): Place[] {
  const { engine, plan } = model
  const all: Place[] = [
    ...plan.stops.map(s => s.place),
    ...topPlaces(engine),
    ...engine.marks.map((_, markIndex): Place => ({ kind: 'mark', markIndex })),
    ...engine.camMarks.map((_, camMarkIndex): Place => ({ kind: 'cam-mark', camMarkIndex })),
  ]
  return [...new Map(all.map(p => [JSON.stringify(p), p])).values()]
}
