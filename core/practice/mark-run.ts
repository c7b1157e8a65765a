import { cylinderById, placePeriod, signedWay, valveById } from '../engine'
import { limitsOf } from '../feeler'
import { clearanceOf, type Happening, placeWords, type Step } from '../job'
import type { Observation } from '../position'
import { say, type Said, type Text } from '../said'
import { snapMm } from '../units'
import { type Act, happeningOf } from './act'
import { feelOf } from './feel'
import { steps, VirtualHand } from './hand'
import type { PracticeStart } from './level'
import { act, beginPractice, believedMm, benchSays, nowOf, type PracticeRun, viewOf } from './run'
import { inSpecTruly } from './truth'
import { awayFromPlace, strokeOf } from './sight'
import { isTrulyClosed, liftedMm, localDeg, roomMm } from './virtual-engine'

export const MARKED_STAGES = ['find', 'measure', 'set', 'prove'] as const
export type MarkedStage = (typeof MARKED_STAGES)[number]
export type Grade = 'right' | 'wrong' | 'needless' | 'dangerous'

/**
 * One thing that was done, judged: what was believed, what was so. `act` is its number, from 0; null for what stands at
 * the end.
 */
export interface Mark {
  act: number | null
  stage: MarkedStage
  grade: Grade
  words: Said
  truth: Text
}
/** A stage’s points of 25, how many answers it took, and how many the Bench’s own way takes. */
export interface StageMark {
  stage: MarkedStage
  points: number
  moves: number
  least: number
}
/** How one valve was left, by the truth, and what it would do to the engine. */
export interface ValveLeft {
  valveId: string
  name: string
  gapMm: number
  inSpec: boolean
  believed: Said
  /** Whether anything was told of it at all. */
  measured: boolean
  effect: Said
}

export interface Marked {
  score: number
  marks: Mark[]
  stages: StageMark[]
  valves: ValveLeft[]
  hints: number
}

const POINTS = 25
const COST: Record<Grade, number> = { right: 0, wrong: 5, needless: 1, dangerous: 12 }
const HINT_COST = 2
/** A place counts as reached so near to it: common practice is a line’s width; the figures are from memory. */
const REACHED_WITHIN_DEG = { 'mark': 6, 'cam-mark': 10, 'piston-top': 8, 'rod-drop': 8, 'valve': 30 }

const mm = (value: number): string => `${snapMm(value).toFixed(2)} mm`
const stageOf = (step: Step): MarkedStage =>
  step === 'measure' || step === 'set' || step === 'prove' ? step : step === 'close' ? 'prove' : 'find'
type Judged = Omit<Mark, 'act' | 'stage'>
const judged = (grade: Grade, words: Said, truth: Text): Judged => ({ grade, words, truth })

/** Where the crank truly stands, by the cylinder in question. */
function whereWords({ drawn: { virtual } }: PracticeRun, cylinderId: string): Said {
  const local = localDeg(virtual, cylinderId)
  const { name } = cylinderById(virtual.engine, cylinderId)
  return say('mark.where', {
    deg: Math.round(local),
    cylinder: virtual.engine.cylinders.length > 1 ? name : null,
    stroke: strokeOf(virtual.engine, cylinderId, virtual.crankDeg),
  })
}

const nameOf = ({ start: { kind } }: PracticeRun, valveId: string): string => valveById(kind.engine, valveId).name

function placeMark(
  run: PracticeRun,
  o: Extract<Observation, { kind: 'move' | 'turns' | 'watched' | 'seen' }>,
): Judged[] {
  const { virtual } = run.drawn
  const place = o.kind === 'seen' ? o.place : o.to
  const words = say('mark.place', { place: placeWords(virtual.engine, place) })
  const away = awayFromPlace(virtual, place)
  const at =
    away <= REACHED_WITHIN_DEG[place.kind]
      ? judged('right', words, say('mark.off', { deg: Math.round(away) }))
      : judged('wrong', words, say('mark.away', { deg: Math.round(away), atDeg: Math.round(virtual.crankDeg) }))
  const slack =
    virtual.camAheadDeg > 1
      ? [judged('wrong', say('mark.backward'), say('mark.behind', { deg: Math.round(virtual.camAheadDeg) }))]
      : []
  const turned = o.kind === 'turns' ? turnsMark(run, o.turns, placePeriod(place)) : []
  return [at, ...slack, ...turned]
}

/** Whole turns that were said, held against what was turned. */
function turnsMark(run: PracticeRun, turns: number, period: number): Judged[] {
  const off = Math.abs(run.turnedDeg - 360 * turns)
  return period === 360 && off > 180
    ? [judged('wrong', say('mark.turns', { turns }), say('mark.turned', { deg: Math.round(run.turnedDeg) }))]
    : []
}

function rockerMark(run: PracticeRun, { valveId, slack }: Extract<Observation, { kind: 'rocker' }>): Judged[] {
  const felt = feelOf(run.drawn.virtual, { kind: 'rocker', valveId })
  const words = say('mark.rocker', { valve: nameOf(run, valveId), slack })
  const unfelt = run.wiggled.has(valveId)
    ? []
    : [judged('wrong', say('mark.unfelt', { valve: nameOf(run, valveId) }), say('mark.guess'))]
  return [
    felt.slack === slack
      ? judged('right', words, felt.words)
      : judged('wrong', words, say('mark.it-felt', { felt: felt.words })),
    ...unfelt,
  ]
}

function observationMarks(run: PracticeRun, o: Observation): Judged[] {
  switch (o.kind) {
    case 'move':
    case 'turns':
    case 'watched':
    case 'seen':
      return placeMark(run, o)
    case 'rocker':
      return rockerMark(run, o)
    default:
      return []
  }
}

/** What a blade was tried on: a closed valve, or one that cam or decompressor held open. */
function groundMark(run: PracticeRun, valveId: string): Judged[] {
  const { virtual } = run.drawn
  if (isTrulyClosed(virtual, valveId)) return []
  const valve = valveById(virtual.engine, valveId)
  const fromOverlap = Math.abs(signedWay(360, localDeg(virtual, valve.cylinderId)))
  return [
    judged(
      'wrong',
      say('mark.ground', {
        wrongStroke: fromOverlap < 90,
        valve: valve.name,
        where: whereWords(run, valve.cylinderId),
      }),
      say('mark.lifted', { lifted: mm(liftedMm(virtual, valveId)) }),
    ),
  ]
}

function warmMark(run: PracticeRun, valveId: string): Judged[] {
  const { virtual } = run.drawn
  const { coldLimitC, setWhen } = virtual.engine
  if (setWhen === 'hot' || virtual.headC <= coldLimitC) return []
  return [
    judged(
      'wrong',
      say('mark.warm', { headC: Math.round(virtual.headC) }),
      say('mark.cold', {
        limitC: coldLimitC,
        less: mm(virtual.gapMm[valveId]! - roomMm(virtual, valveId) - liftedMm(virtual, valveId)),
      }),
    ),
  ]
}

function trialMarks(
  run: PracticeRun,
  { valveId, feel, bladesMm }: Extract<Happening, { type: 'trial' }>['payload'],
): Judged[] {
  const slid = run.slid[valveId]
  const blades = slid ?? bladesMm
  const name = blades.map(b => b.toFixed(2)).join(' + ')
  const felt = feelOf(run.drawn.virtual, {
    kind: 'blade',
    valveId,
    engravedMm: blades,
    thickMm: believedMm(run, blades),
  })
  const words = say('mark.trial', { blade: name, valve: nameOf(run, valveId), feel })
  return [
    felt.feel === feel
      ? judged('right', words, `${felt.forceN.toFixed(1)} N`)
      : judged('wrong', words, say('mark.it-was', { feel: felt.feel, force: felt.forceN.toFixed(1) })),
    ...(slid ? [] : [judged('wrong', say('mark.unslid', { blade: name }), say('mark.guess'))]),
    ...groundMark(run, valveId),
    ...warmMark(run, valveId),
  ]
}

function screwMarks(run: PracticeRun, valveId: string): Judged[] {
  const { virtual } = run.drawn
  if (isTrulyClosed(virtual, valveId)) return []
  return [
    judged(
      'dangerous',
      say('mark.screw', {
        valve: nameOf(run, valveId),
        where: whereWords(run, valveById(virtual.engine, valveId).cylinderId),
      }),
      say('mark.held', { held: mm(liftedMm(virtual, valveId)) }),
    ),
  ]
}

function verdictMarks(run: PracticeRun, { valveId, verdict }: Extract<Act, { kind: 'verdict' }>): Judged[] {
  const gapMm = run.drawn.virtual.gapMm[valveId]!
  const limits = limitsOf(run.start.kind.engine.clearance[valveById(run.start.kind.engine, valveId).role])
  const so =
    limits === null ? verdict : gapMm < limits.minMm - 0.005 ? 'tight' : gapMm > limits.maxMm + 0.015 ? 'loose' : 'in'
  const words = say('mark.called', { valve: nameOf(run, valveId), verdict })
  return [
    so === verdict
      ? judged('right', words, mm(gapMm))
      : judged('wrong', words, say('mark.it-is', { verdict: so, gap: mm(gapMm) })),
  ]
}

/** The marks of one thing, by how the engine stands just before it. */
function marksOf(run: PracticeRun, doing: Act): Judged[] {
  if (doing.kind === 'screw') return screwMarks(run, doing.valveId)
  if (doing.kind === 'verdict') return verdictMarks(run, doing)
  if (doing.kind !== 'said') return []
  const happening = happeningOf(doing)
  switch (happening.type) {
    case 'crank':
      return happening.payload.observations.flatMap(o => observationMarks(run, o))
    case 'trial':
      return trialMarks(run, happening.payload)
    case 'prove-turned':
      return run.sinceLockDeg < 630
        ? [
            judged(
              'wrong',
              say('mark.turns', { turns: 2 }),
              say('mark.since-lock', { deg: Math.round(run.sinceLockDeg) }),
            ),
          ]
        : [judged('right', say('mark.two-turns'), say('mark.made'))]
    default:
      return []
  }
}

const EFFECT = {
  loose: say('mark.effect.loose'),
  tight: { intake: say('mark.effect.tight-intake'), exhaust: say('mark.effect.tight-exhaust') },
  nut: say('mark.effect.nut'),
  in: say('mark.effect.in'),
}

function leftOf(run: PracticeRun, valveId: string): ValveLeft {
  const { virtual } = run.drawn
  const { name, role } = valveById(virtual.engine, valveId)
  const view = viewOf(run)
  const gapMm = virtual.gapMm[valveId]!
  const inSpec = inSpecTruly(view, valveId, gapMm, 0.005)
  const limits = limitsOf(clearanceOf(view.pin, valveId))
  const loose = limits !== null && gapMm > limits.maxMm
  const called = run.acts.findLast(a => a.kind === 'verdict' && a.valveId === valveId)
  const measured = view.state.valves.find(v => v.valveId === valveId)!.readings.some(r => r.trials.length > 0)
  return {
    valveId,
    name,
    gapMm,
    inSpec,
    believed: say('mark.believed', {
      what: called?.kind === 'verdict' ? called.verdict : measured ? 'measured' : 'not measured',
    }),
    measured: called !== undefined || measured,
    effect:
      virtual.nuts[valveId] !== 'locked' ? EFFECT.nut : inSpec ? EFFECT.in : loose ? EFFECT.loose : EFFECT.tight[role],
  }
}

/** What stands against the run at its end, whatever was done on the way. */
function endMarks(run: PracticeRun, valves: ValveLeft[]): Mark[] {
  const { virtual } = run.drawn
  const end = (stage: MarkedStage, mark: Judged): Mark => ({ act: null, stage, ...mark })
  return valves
    .flatMap(left => {
      if (virtual.nuts[left.valveId] !== 'locked')
        return [end('set', judged('dangerous', say('mark.left-loose', { valve: left.name }), EFFECT.nut))]
      const found = !left.measured
        ? [
            end(
              'measure',
              judged(
                'wrong',
                say('mark.never-measured', { valve: left.name }),
                say('mark.stands', { gap: mm(left.gapMm) }),
              ),
            ),
          ]
        : []
      return [
        ...found,
        end(
          'set',
          left.inSpec
            ? judged('right', say('mark.left', { valve: left.name, inSpec: true }), mm(left.gapMm))
            : judged('wrong', say('mark.left', { valve: left.name, inSpec: false }), [
                `${mm(left.gapMm)}.`,
                left.effect,
              ]),
        ),
      ]
    })
    .concat(
      run.acts.some(a => a.kind === 'said' && a.type === 'prove-turned')
        ? []
        : [end('prove', judged('wrong', say('mark.not-proved'), say('mark.prove')))],
    )
}

const counts = (): Record<MarkedStage, number> => ({ find: 0, measure: 0, set: 0, prove: 0 })

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
      next => next.step === 'close',
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
 * have done to
 * the engine. The run is done over again from its acts, so the marks are the same wherever they are made.
 * @returns a score of 0 to 100: 25 a stage, 5 off for each thing wrong, 12 for what is dangerous, 1 for each answer
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
  const valves = start.kind.engine.valves.map(v => leftOf(run, v.id))
  marks.push(...endMarks(run, valves))
  const least = leastAnswers(start)
  const stages = MARKED_STAGES.map(s => stageMark(s, marks, moves[s], least[s]))
  return {
    score: Math.max(0, stages.reduce((sum, s) => sum + s.points, 0) - hints * HINT_COST),
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
