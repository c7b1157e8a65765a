import { cylinderById, placePeriod, signedWay, valveById } from '../engine'
import { limitsOf } from '../feeler'
import { type Happening, placeWords } from '../job'
import type { Observation } from '../position'
import { type Said, say } from '../said'
import { type Act, happeningOf } from './act'
import { feelOf } from './feel'
import { type Judged, judged, mmText } from './mark'
import { believedMm, type PracticeRun } from './run'
import { awayFromPlace, strokeOf } from './sight'
import { isTrulyClosed, liftedMm, localDeg, roomMm } from './virtual-engine'

/** A place counts as reached so near to it: common practice is a line’s width; the figures are from memory. */
const REACHED_WITHIN_DEG = { 'mark': 6, 'cam-mark': 10, 'piston-top': 8, 'rod-drop': 8, 'valve': 30 }

/** Where the crank truly stands, by the cylinder in question. */
export function whereWords({ drawn: { virtual } }: PracticeRun, cylinderId: string): Said {
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
      say('mark.lifted', { lifted: mmText(liftedMm(virtual, valveId)) }),
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
        less: mmText(virtual.gapMm[valveId]! - roomMm(virtual, valveId) - liftedMm(virtual, valveId)),
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
      say('mark.held', { held: mmText(liftedMm(virtual, valveId)) }),
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
      ? judged('right', words, mmText(gapMm))
      : judged('wrong', words, say('mark.it-is', { verdict: so, gap: mmText(gapMm) })),
  ]
}

/** The marks of one thing, by how the engine stands just before it. */
export function marksOf(run: PracticeRun, doing: Act): Judged[] {
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
