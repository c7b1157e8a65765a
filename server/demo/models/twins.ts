import type { z } from 'zod'
import { type Engine, engineSchema, type Valve } from '../../../core/engine'

type Given = z.input<typeof engineSchema>

/** Two cylinders, left and right, the left firing first. Makers, models and figures are invented. */
const twin = (
  rightFiresDeg: number,
  changes: Omit<Given, 'cylinders' | 'valves' | 'setWhen' | 'coldLimitC'> & {
    adjusterOf?: (role: Valve['role']) => Valve['adjuster']
    names?: [string, string]
  },
): Engine => {
  const { adjusterOf = () => 'screw' as const, names = ['Left', 'Right'], ...rest } = changes
  const cylinders = [
    { id: 'left', name: names[0], firingAngleDeg: 0 },
    { id: 'right', name: names[1], firingAngleDeg: rightFiresDeg },
  ]
  return engineSchema.parse({
    cylinders,
    valves: cylinders.flatMap((c, i) =>
      (['intake', 'exhaust'] as const).map(role => ({
        id: `${c.id}-${role}`,
        cylinderId: c.id,
        role,
        name: `${c.name} ${role}`,
        headX: i === 0 ? 0.28 : 0.72,
        headY: role === 'intake' ? 0.7 : 0.29,
        adjuster: adjusterOf(role),
      })),
    ),
    setWhen: 'cold',
    coldLimitC: 35,
    ...rest,
  })
}

export const DUET = {
  maker: 'Vossel',
  model: 'Duet 405',
  code: 'VD405-P',
  kind: 'Motorcycle',
  engine: twin(360, {
    strokeMm: 53.8,
    rodMm: 98,
    layout: 'overhead cam',
    cam: {
      checkLiftMm: 1,
      intakeOpensBeforeTdcDeg: 8,
      intakeClosesAfterBdcDeg: 38,
      exhaustOpensBeforeBdcDeg: 41,
      exhaustClosesAfterTdcDeg: 6,
    },
    decompressor: { kind: 'none' },
    marks: [
      { letter: 'T', angleDeg: 0, kind: 'top' },
      { letter: 'F', angleDeg: 345, kind: 'fire' },
      { letter: '‖', angleDeg: 325, kind: 'advance' },
    ],
    markWindow: 'the upper cap on the left cover',
    turning: { direction: 'anticlockwise', seenFrom: 'the left', means: 'the rotor bolt' },
    clearance: {
      intake: { form: 'limits', minMm: 0.06, maxMm: 0.1, text: '0.06–0.10', unit: 'mm' },
      exhaust: { form: 'limits', minMm: 0.08, maxMm: 0.12, text: '0.08–0.12', unit: 'mm' },
    },
    adjuster: { kind: 'valve-end', pitchMm: 0.75, pitchAssumed: false, threadMm: 6, rockerRatio: 1, head: 'square' },
    torques: { locknutNm: 11, coverNm: 10, plugNm: 13 },
    tools: '10 mm box wrench, square key, 18 mm plug socket',
    plugGap: '0.8 mm',
    coverPattern: 'from the middle outward',
    gasket: 'new each time',
    stripDown: ['Seat', 'Fuel tank', 'Coil bracket'],
    interval: { use: 5000, months: 12 },
    source: 'Vossel workshop manual D405, p. 2-14',
    sourceDate: '2023-11-06',
  }),
}

export const SWITCH = {
  maker: 'Vossel',
  model: 'Switch 470',
  code: 'VS470-H',
  kind: 'Motorcycle',
  engine: twin(180, {
    strokeMm: 61.2,
    rodMm: 112,
    layout: 'overhead cam',
    cam: {
      checkLiftMm: 1,
      intakeOpensBeforeTdcDeg: 12,
      intakeClosesAfterBdcDeg: 43,
      exhaustOpensBeforeBdcDeg: 44,
      exhaustClosesAfterTdcDeg: 9,
    },
    decompressor: { kind: 'none' },
    marks: [
      { letter: 'T L', angleDeg: 0, kind: 'top' },
      { letter: 'F', angleDeg: 347, kind: 'fire' },
      { letter: 'T R', angleDeg: 180, kind: 'top' },
    ],
    markWindow: 'the rotor window',
    turning: { direction: 'anticlockwise', seenFrom: 'the left', means: 'the rotor bolt' },
    clearance: {
      intake: { form: 'limits', minMm: 0.1, maxMm: 0.15, text: '0.10–0.15', unit: 'mm' },
      exhaust: { form: 'limits', minMm: 0.17, maxMm: 0.22, text: '0.17–0.22', unit: 'mm' },
    },
    otherClearances: [
      {
        role: 'exhaust',
        clearance: { form: 'limits', minMm: 0.2, maxMm: 0.25, text: '0.20–0.25', unit: 'mm' },
        source: 'Vossel service letter S-17',
      },
    ],
    adjuster: { kind: 'valve-end', pitchMm: 0.75, pitchAssumed: false, rockerRatio: 1, head: 'slot' },
    torques: { locknutNm: 13, coverNm: 10, plugNm: 13 },
    tools: '12 mm box wrench, slot driver, 16 mm plug socket',
    plugGap: '0.9 mm',
    coverPattern: 'crosswise',
    gasket: 'new each time',
    stripDown: ['Seat', 'Fuel tank', 'Air duct, 3 screws'],
    interval: { use: 8000, months: 24 },
    source: 'Vossel workshop manual S470, p. 2-31',
    sourceDate: '2024-06-21',
  }),
}

export const FALLOW = {
  maker: 'Grisdel',
  model: 'Fallow V22',
  code: 'GFV22-A',
  kind: 'Tractor',
  engine: twin(270, {
    strokeMm: 66,
    rodMm: null,
    layout: 'push-rods',
    cam: null,
    decompressor: { kind: 'arc', role: 'exhaust', fromDeg: -112, toDeg: 9 },
    marks: [],
    markWindow: '',
    turning: { direction: 'clockwise', seenFrom: 'above', means: 'the blower nut' },
    clearance: {
      intake: { form: 'limits', minMm: 0.1, maxMm: 0.15, text: '0.10–0.15', unit: 'mm' },
      exhaust: { form: 'limits', minMm: 0.12, maxMm: 0.17, text: '0.12–0.17', unit: 'mm' },
    },
    adjuster: { kind: 'pivot-nut', pitchMm: 1, pitchAssumed: true, rockerRatio: 1.4, head: 'hex socket' },
    torques: { locknutNm: 10, coverNm: 7, plugNm: 20 },
    tools: '13 mm box wrench, hex key, 16 mm plug socket',
    plugGap: '0.75 mm',
    coverPattern: 'crosswise, each head by itself',
    gasket: 'new each time',
    stripDown: ['Hood', 'Blower shroud, 6 bolts'],
    interval: { use: 200, months: 12 },
    source: 'Grisdel FV22 workshop book, 1st printing, p. 44',
    sourceDate: '2024-08-12',
  }),
}

/**
 * A side-by-side whose manual lists two stops with letters of their own, a little past each top; its intakes are
 * shimmed.
 */
export const SPAN = {
  maker: 'Karnok',
  model: 'Span 850',
  code: 'KS850-T',
  kind: 'Side-by-side',
  engine: twin(270, {
    names: ['Front', 'Rear'],
    adjusterOf: role => (role === 'intake' ? 'shim' : 'screw'),
    shim: { diameterMm: 8.5, stepMm: 0.05 },
    strokeMm: 69.4,
    rodMm: 126,
    layout: 'overhead cam',
    cam: {
      checkLiftMm: 1,
      intakeOpensBeforeTdcDeg: 7,
      intakeClosesAfterBdcDeg: 37,
      exhaustOpensBeforeBdcDeg: 39,
      exhaustClosesAfterTdcDeg: 6,
    },
    decompressor: { kind: 'none' },
    marks: [
      { letter: 'P', angleDeg: 14, kind: 'top' },
      { letter: 'Q', angleDeg: 284, kind: 'top' },
      { letter: 'F', angleDeg: 351, kind: 'fire' },
    ],
    markWindow: 'the window over the clutch cover',
    makersStops: [
      {
        crankDeg: 14,
        place: { kind: 'mark', markIndex: 0 },
        valveIds: ['left-intake', 'left-exhaust', 'right-exhaust'],
      },
      { crankDeg: 284, place: { kind: 'mark', markIndex: 1 }, valveIds: ['right-intake'] },
    ],
    turning: { direction: 'clockwise', seenFrom: 'the right', means: 'the clutch-side bolt' },
    clearance: {
      intake: { form: 'limits', minMm: 0.11, maxMm: 0.17, text: '0.11–0.17', unit: 'mm' },
      exhaust: { form: 'limits', minMm: 0.19, maxMm: 0.25, text: '0.19–0.25', unit: 'mm' },
    },
    adjuster: { kind: 'valve-end', pitchMm: 0.75, pitchAssumed: false, rockerRatio: 1, head: 'slot' },
    torques: { locknutNm: 12, coverNm: 10, plugNm: 12 },
    tools: '12 mm box wrench, slot driver, 16 mm plug socket',
    plugGap: '0.8 mm',
    coverPattern: 'from the middle outward',
    gasket: 'new each time',
    stripDown: ['Cargo bed cover', 'Air box, 5 screws'],
    interval: { use: 2500, months: 12 },
    source: 'Karnok service handbook S850, sheet 26',
    sourceDate: '2025-05-19',
  }),
}
