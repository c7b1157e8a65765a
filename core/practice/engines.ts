import type { z } from 'zod'
import { type Engine, engineSchema, type Valve } from '../engine'
import { say, type Text } from '../said'

type Given = Partial<z.input<typeof engineSchema>>

/** The valves of one cylinder over a head: so many of each role. */
export const headValves = (cylinderId: string, name: string, x: number, each = 1): Given['valves'] =>
  (['intake', 'exhaust'] as const).flatMap(role =>
    Array.from({ length: each }, (_, i) => ({
      id: `${cylinderId}-${role}${each > 1 ? i + 1 : ''}`,
      cylinderId,
      role,
      name: `${name} ${role}${each > 1 ? ` ${i + 1}` : ''}`.trim().replace(/^./, c => c.toUpperCase()),
      headX: x + (each > 1 ? i * 0.2 - 0.1 : 0),
      headY: role === 'intake' ? 0.75 : 0.25,
    })),
  )

const limits = (minMm: number, maxMm: number) => ({
  form: 'limits' as const,
  minMm,
  maxMm,
  text: `${minMm.toFixed(2)}–${maxMm.toFixed(2)}`,
  unit: 'mm' as const,
})
const CAM = {
  checkLiftMm: 1,
  intakeOpensBeforeTdcDeg: 10,
  intakeClosesAfterBdcDeg: 40,
  exhaustOpensBeforeBdcDeg: 40,
  exhaustClosesAfterTdcDeg: 10,
}

/** An invented engine; everything about it may be replaced. */
export const inventedEngine = (given: Given): Engine =>
  engineSchema.parse({
    strokeMm: 54.2,
    rodMm: 96,
    boreMm: 58,
    cylinders: [{ id: 'only', name: 'Cylinder', firingAngleDeg: 0 }],
    valves: headValves('only', '', 0.5),
    layout: 'overhead cam',
    cam: CAM,
    decompressor: { kind: 'none' },
    marks: [
      { letter: 'T', angleDeg: 0, kind: 'top' },
      { letter: 'F', angleDeg: 346, kind: 'fire' },
    ],
    markWindow: 'the flywheel window',
    turning: { direction: 'anticlockwise', seenFrom: 'the flywheel side', means: 'the flywheel nut' },
    clearance: { intake: limits(0.08, 0.12), exhaust: limits(0.12, 0.16) },
    setWhen: 'cold',
    coldLimitC: 35,
    adjuster: { kind: 'valve-end', pitchMm: 0.5, pitchAssumed: false, rockerRatio: 1.1, head: 'square' },
    torques: { locknutNm: 9, coverNm: 10, plugNm: 12 },
    tools: '9 mm box wrench',
    plugGap: '0.7 mm',
    coverPattern: 'crosswise',
    gasket: 'new each time',
    stripDown: [],
    interval: { use: 3000, months: 12 },
    source: 'Practice bench, invented',
    sourceDate: '2026-01-05',
    ...given,
  })

/**
 * Two cylinders, the second firing so many degrees after the first; on one crank pin where both tops come at one mark.
 */
const twin = (names: [string, string], laterDeg: number, given: Given = {}): Engine =>
  inventedEngine({
    cylinders: [
      { id: 'a', name: names[0], firingAngleDeg: 0 },
      { id: 'b', name: names[1], firingAngleDeg: laterDeg },
    ],
    valves: [...headValves('a', names[0], 0.3)!, ...headValves('b', names[1], 0.7)!],
    marks:
      laterDeg % 360 === 0
        ? [
            { letter: 'T', angleDeg: 0, kind: 'top' },
            { letter: 'F', angleDeg: 346, kind: 'fire' },
          ]
        : [
            { letter: `T${names[0][0]}`, angleDeg: 0, kind: 'top' },
            { letter: `T${names[1][0]}`, angleDeg: laterDeg % 360, kind: 'top' },
            { letter: 'F', angleDeg: 346, kind: 'fire' },
          ],
    ...given,
  })

const pushRods: Given = {
  layout: 'push-rods',
  adjuster: { kind: 'pushrod-end', pitchMm: 0.75, pitchAssumed: false, rockerRatio: 1.3, head: 'slot' },
}
const KNOWN = { kind: 'arc', role: 'exhaust', fromDeg: -120, toDeg: 10 } as const

/**
 * A kind of engine to practise on, and for the robot to prove the judgement on: invented, one of each layout that the
 * trade meets. What it is like stands with the words, by its id.
 */
export interface PracticeEngine {
  id: string
  name: string
  /** What a shop calls the kind of its own model. */
  about?: string
  engine: Engine
}

/** What a practice engine is there to teach. */
export const practiceEngineAbout = ({ id, about }: Pick<PracticeEngine, 'id' | 'about'>): Text =>
  about ?? say('practice-engine', { id })

export const PRACTICE_ENGINES: readonly PracticeEngine[] = [
  {
    id: 'single',
    name: 'Pelloway G30',
    engine: inventedEngine(pushRods),
  },
  {
    id: 'single-decompressor',
    name: 'Pelloway G34',
    engine: inventedEngine({ ...pushRods, decompressor: KNOWN }),
  },
  {
    id: 'single-maybe',
    name: 'Quarrel 160',
    engine: inventedEngine({ decompressor: { kind: 'unknown' } }),
  },
  {
    id: 'single-no-marks',
    name: 'Tumbrel 190',
    engine: inventedEngine({
      ...pushRods,
      marks: [],
      markWindow: '',
      adjuster: { kind: 'pivot-nut', pitchMm: 1, pitchAssumed: true, rockerRatio: 1.2, head: 'hex socket' },
    }),
  },
  {
    id: 'single-assumed',
    name: 'Lackaday 110',
    engine: inventedEngine({ cam: null, rodMm: null }),
  },
  {
    id: 'four-valve',
    name: 'Sparling 250',
    engine: inventedEngine({ valves: headValves('only', '', 0.5, 2) }),
  },
  {
    id: 'twin-360',
    name: 'Fennick 360',
    engine: twin(['Left', 'Right'], 360),
  },
  { id: 'twin-180', name: 'Fennick 400', engine: twin(['Left', 'Right'], 180) },
  { id: 'twin-270', name: 'Fennick 700', engine: twin(['Left', 'Right'], 270) },
  {
    id: 'v-90',
    name: 'Gantry V20',
    engine: twin(['Front', 'Rear'], 450, { ...pushRods, decompressor: KNOWN }),
  },
  { id: 'v-45', name: 'Gantry V45', engine: twin(['Front', 'Rear'], 405) },
  {
    id: 'shimmed',
    name: 'Strakes 800',
    engine: shimmedTwin(),
  },
  { id: 'four', name: 'Ossel 400', engine: four() },
]

function shimmedTwin(): Engine {
  const base = twin(['Left', 'Right'], 180)
  const byRole = (role: Valve['role']) => base.valves.filter(v => v.role === role).map(v => v.id)
  return engineSchema.parse({
    ...base,
    valves: base.valves.map(v => ({ ...v, adjuster: v.role === 'intake' ? 'shim' : 'screw' })),
    shim: { diameterMm: 9.2, stepMm: 0.025 },
    makersStops: [
      { crankDeg: 0, place: { kind: 'mark', markIndex: 0 }, valveIds: [byRole('intake')[0], byRole('exhaust')[0]] },
      { crankDeg: 180, place: { kind: 'mark', markIndex: 1 }, valveIds: [byRole('intake')[1], byRole('exhaust')[1]] },
    ],
  })
}

function four(): Engine {
  const order = [1, 3, 4, 2]
  return inventedEngine({
    cylinders: [1, 2, 3, 4].map(n => ({ id: `c${n}`, name: `Cylinder ${n}`, firingAngleDeg: order.indexOf(n) * 180 })),
    valves: [1, 2, 3, 4].flatMap(n => headValves(`c${n}`, `Cylinder ${n}`, n / 5)!),
    marks: [{ letter: 'T', angleDeg: 0, kind: 'top' }],
  })
}
