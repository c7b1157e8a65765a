import type { Happening, NextThing, Step } from '../job'
import type { Act } from './act'
import { VirtualHand } from './hand'
import type { PracticeStart } from './level'
import { type Grade, type Mark, type Marked, MARKED_STAGES, type MarkedStage, type StageMark } from './mark'
import { marksOf } from './mark-acts'
import { endMarks, foundMark, leftOf } from './mark-end'
import { act, beginPractice, benchSays, nowOf, type PracticeRun, viewOf } from './run'
import { steps } from './work-through'

/** Four stages make a hundred; what a slip takes is a matter of judgement. */
const POINTS = 25
const COST: Record<Grade, number> = { right: 0, wrong: 5, needless: 1, dangerous: 12 }
const HINT_COST = 2

const stageOf = (step: Step): MarkedStage =>
  step === 'measure' || step === 'set' || step === 'prove' ? step : step === 'close' ? 'prove' : 'find'
const counts = (): Record<MarkedStage, number> => ({ find: 0, measure: 0, set: 0, prove: 0 })

/** The stages that a run is about. */
const stagesOf = ({ drill }: PracticeStart): readonly MarkedStage[] => (drill ? [drill] : MARKED_STAGES)
/** Whether what a run is about is done, by what the Bench would say next. */
export const isDone = ({ drill }: PracticeStart, { step }: NextThing): boolean =>
  drill ? step !== 'ready' && step !== 'find' : step === 'close'

/** How many answers each stage takes by the Bench’s own way on this engine, with a steady hand. */
export function leastAnswers(start: PracticeStart): Record<MarkedStage, number> {
  const run = beginPractice({ ...start })
  // a head that is warm is waited for, which is no answer
  run.drawn.virtual.headC = run.drawn.virtual.nature.airC
  const least = counts()
  const said: Happening[] = []
  try {
    for (const { worked } of steps(
      new VirtualHand(run.drawn.virtual),
      () => viewOf(run),
      next => isDone(start, next),
      300,
    )) {
      said.push(worked.happening)
      run.log.push({
        ...worked.happening,
        id: `l${said.length}`,
        seq: 1000 + said.length,
        version: 1,
        personId: 0,
        personName: '',
        deviceId: 'practice',
        deviceSeq: 1000 + said.length,
        seenSeq: 0,
        at: new Date(nowOf(run)).toISOString(),
      } as PracticeRun['log'][number])
      if (worked.next.step !== 'ready') least[stageOf(worked.next.step)]++
    }
  } catch {
    /* an engine that cannot be ended is held against no one */
  }
  return least
}

const OF_A_STAGE: ReadonlySet<Happening['type']> = new Set([
  'crank',
  'trial',
  'mark-checked',
  'prove-turned',
  'nut-loosened',
  'screw-checked',
  'decompressor-tested',
  'set-chosen',
])

/**
 * Marks a practice run: what was right, wrong, needless or dangerous, step by step with the truth, and what it would
 * have done to the engine. The run is done over again from its acts, so the marks are the same wherever they are made.
 * @returns a score of 0 to 100: 25 a stage, or four times those of its only one; from them 5 off for each thing wrong, 12 for what is dangerous, 1 for each answer
 *   more than it takes, 2 a hint
 */
export function markRun(start: PracticeStart, acts: readonly Act[]): Marked {
  const run = beginPractice({ ...start })
  const marks: Mark[] = []
  const moves = counts()
  let stage: MarkedStage = 'find'
  let hints = 0
  acts.forEach((doing, i) => {
    if (doing.kind === 'said') stage = stageOf(benchSays(run).step)
    if (doing.kind === 'said' && OF_A_STAGE.has(doing.type)) moves[stage]++
    if (doing.kind === 'hint') hints++
    const own = doing.kind === 'screw' ? 'set' : stage
    marks.push(...marksOf(run, doing).map(m => ({ act: i, stage: own as MarkedStage, ...m })))
    act(run, doing)
  })
  const valves = start.drill ? [] : start.kind.engine.valves.map(v => leftOf(run, v.id))
  marks.push(...(start.drill ? [foundMark(run)] : endMarks(run, valves)))
  const least = leastAnswers(start)
  const stages = stagesOf(start).map(s => stageMark(s, marks, moves[s], least[s]))
  const points = stages.reduce((sum, s) => sum + s.points, 0) * (MARKED_STAGES.length / stages.length)
  return {
    score: Math.max(0, points - hints * HINT_COST),
    marks,
    stages,
    valves,
    hints,
  }
}

/** Each screw turned in one place is one slip, however often it was turned. */
function stageMark(stage: MarkedStage, marks: Mark[], moves: number, least: number): StageMark {
  const own = marks.filter(m => m.stage === stage)
  const different = [
    ...new Map(
      own
        .filter(m => m.grade !== 'right')
        .map(m => [(m.grade === 'dangerous' ? '' : `${m.act} `) + JSON.stringify(m.words), m]),
    ).values(),
  ]
  const slips = different.reduce((sum, m) => sum + COST[m.grade], 0)
  const needless = Math.min(5, Math.max(0, moves - least)) * COST.needless
  const undone = moves === 0 && least > 0 ? POINTS : 0
  return { stage, moves, least, points: Math.max(0, POINTS - slips - needless - undone) }
}
