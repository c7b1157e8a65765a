import type { z } from 'zod'
import { type Engine, engineSchema } from '../../../core/engine'

type Given = z.input<typeof engineSchema>

/** Makers, models and figures are invented. */
const single = (
  changes: Omit<Given, 'cylinders' | 'valves' | 'setWhen' | 'coldLimitC'> & { valves?: Given['valves'] },
): Engine =>
  engineSchema.parse({
    cylinders: [{ id: 'only', name: 'Cylinder', firingAngleDeg: 0 }],
    valves: [
      { id: 'intake', cylinderId: 'only', role: 'intake', name: 'Intake', headX: 0.5, headY: 0.7 },
      { id: 'exhaust', cylinderId: 'only', role: 'exhaust', name: 'Exhaust', headX: 0.5, headY: 0.29 },
    ],
    setWhen: 'cold',
    coldLimitC: 35,
    ...changes,
  })

export const HEDGEROW = {
  maker: 'Grisdel',
  model: 'Hedgerow 18',
  code: 'GH18-V',
  kind: 'Mower',
  engine: single({
    strokeMm: 60,
    rodMm: null,
    layout: 'push-rods',
    cam: null,
    decompressor: { kind: 'arc', role: 'exhaust', fromDeg: -110, toDeg: 8 },
    marks: [],
    markWindow: 'no mark on this flywheel',
    turning: { direction: 'clockwise', seenFrom: 'above', means: 'the flywheel nut' },
    clearance: {
      intake: { form: 'limits', minMm: 0.1, maxMm: 0.15, text: '0.10–0.15', unit: 'mm' },
      exhaust: { form: 'limits', minMm: 0.15, maxMm: 0.2, text: '0.15–0.20', unit: 'mm' },
    },
    adjuster: { kind: 'pivot-nut', pitchMm: 1, pitchAssumed: true, rockerRatio: 1.3, head: 'hex socket' },
    torques: { locknutNm: 10, coverNm: 7, plugNm: 20 },
    tools: '13 mm box wrench, 4 mm hex key, 16 mm plug socket',
    plugGap: '0.75 mm',
    coverPattern: 'crosswise',
    gasket: 'new each time',
    stripDown: ['Shroud, 3 bolts'],
    interval: { use: 100, months: 12 },
    source: 'Grisdel GH18 workshop book, 2nd printing, p. 31',
    sourceDate: '2023-03-14',
  }),
}

export const G30 = {
  maker: 'Pelloway',
  model: 'G30',
  code: 'PG30-A',
  kind: 'Generator',
  engine: single({
    strokeMm: 54,
    rodMm: 88,
    layout: 'push-rods',
    cam: {
      checkLiftMm: 1,
      intakeOpensBeforeTdcDeg: 8,
      intakeClosesAfterBdcDeg: 42,
      exhaustOpensBeforeBdcDeg: 44,
      exhaustClosesAfterTdcDeg: 9,
    },
    decompressor: { kind: 'none' },
    marks: [
      { letter: 'T', angleDeg: 0, kind: 'top' },
      { letter: 'F', angleDeg: 338, kind: 'fire' },
    ],
    markWindow: 'the fan housing notch',
    turning: { direction: 'clockwise', seenFrom: 'the recoil side', means: 'the fan nut' },
    clearance: {
      intake: { form: 'tolerance', figureMm: 0.15, toleranceMm: 0.02, text: '0.15 ± 0.02', unit: 'mm' },
      exhaust: { form: 'tolerance', figureMm: 0.2, toleranceMm: 0.02, text: '0.20 ± 0.02', unit: 'mm' },
    },
    adjuster: { kind: 'pushrod-end', pitchMm: 0.75, pitchAssumed: false, rockerRatio: 1.2, head: 'slot' },
    torques: { locknutNm: 9, coverNm: 8, plugNm: 18 },
    tools: '10 mm box wrench, slot driver, 21 mm plug socket',
    plugGap: '0.7 mm',
    coverPattern: 'crosswise',
    gasket: 'reuse if sound',
    stripDown: ['End panel, 4 screws'],
    interval: { use: 250, months: 12 },
    source: 'Pelloway G30 service sheet 7',
    sourceDate: '2024-05-02',
  }),
}

export const MINNOW = {
  maker: 'Zephrin',
  model: 'Minnow 125',
  code: 'ZM125-E',
  kind: 'Scooter',
  engine: single({
    strokeMm: 57.4,
    rodMm: 102,
    layout: 'overhead cam',
    cam: {
      checkLiftMm: 1,
      intakeOpensBeforeTdcDeg: 6,
      intakeClosesAfterBdcDeg: 36,
      exhaustOpensBeforeBdcDeg: 38,
      exhaustClosesAfterTdcDeg: 4,
    },
    decompressor: { kind: 'none' },
    marks: [
      { letter: 'T', angleDeg: 0, kind: 'top' },
      { letter: 'F', angleDeg: 347, kind: 'fire' },
      { letter: '‖', angleDeg: 328, kind: 'advance' },
    ],
    markWindow: 'the rotor window',
    turning: { direction: 'anticlockwise', seenFrom: 'the left', means: 'the rotor nut' },
    clearance: {
      intake: { form: 'limits', minMm: 0.08, maxMm: 0.12, text: '0.08–0.12', unit: 'mm' },
      exhaust: { form: 'bare', figureMm: 0.14, text: '0.14', unit: 'mm' },
    },
    adjuster: { kind: 'valve-end', pitchMm: 0.5, pitchAssumed: false, rockerRatio: 1, head: 'square' },
    torques: { locknutNm: 8, coverNm: 10, plugNm: 12 },
    tools: '9 mm box wrench, square key, 16 mm plug socket',
    plugGap: '0.8 mm',
    coverPattern: 'crosswise',
    gasket: 'O-ring, oil it; new when flat',
    stripDown: ['Seat box', 'Cooling duct, 2 screws'],
    interval: { use: 4000, months: 12 },
    source: 'Zephrin workshop manual M125, p. 4-12',
    sourceDate: '2024-09-09',
  }),
}

export const PLOVER = {
  maker: 'Zephrin',
  model: 'Plover 200-4',
  code: 'ZP200-4',
  kind: 'Scooter',
  engine: single({
    strokeMm: 55.6,
    rodMm: 99,
    layout: 'overhead cam',
    valves: (['intake', 'exhaust'] as const).flatMap(role =>
      [1, 2].map(n => ({
        id: `${role}-${n}`,
        cylinderId: 'only',
        role,
        name: `${role === 'intake' ? 'Intake' : 'Exhaust'} ${n}`,
        headX: n === 1 ? 0.3 : 0.7,
        headY: role === 'intake' ? 0.7 : 0.29,
      })),
    ),
    cam: {
      checkLiftMm: 1,
      intakeOpensBeforeTdcDeg: 9,
      intakeClosesAfterBdcDeg: 39,
      exhaustOpensBeforeBdcDeg: 40,
      exhaustClosesAfterTdcDeg: 7,
    },
    decompressor: { kind: 'none' },
    marks: [
      { letter: 'T', angleDeg: 0, kind: 'top' },
      { letter: 'F', angleDeg: 349, kind: 'fire' },
      { letter: '‖', angleDeg: 331, kind: 'advance' },
    ],
    markWindow: 'the fan-side window',
    camMarks: [{ words: 'the sprocket’s single dot points at the head edge', angleDeg: 0 }],
    turning: { direction: 'clockwise', seenFrom: 'the right', means: 'the fan nut' },
    clearance: {
      intake: { form: 'limits', minMm: 0.08, maxMm: 0.13, text: '0.08–0.13', unit: 'mm' },
      exhaust: { form: 'limits', minMm: 0.15, maxMm: 0.2, text: '0.15–0.20', unit: 'mm' },
    },
    adjuster: { kind: 'valve-end', pitchMm: 0.5, pitchAssumed: false, rockerRatio: 1, head: 'square' },
    torques: { locknutNm: 7, coverNm: 9, plugNm: 12 },
    tools: '8 mm box wrench, square key, 14 mm plug socket',
    plugGap: '0.8 mm',
    coverPattern: 'crosswise',
    gasket: 'oil it; new when flat',
    stripDown: ['Seat box', 'Fan cowl, 4 screws'],
    interval: { use: 6000, months: 12 },
    source: 'Zephrin workshop manual P200, p. 3-21',
    sourceDate: '2025-02-17',
  }),
}

export const RIDGE = {
  maker: 'Karnok',
  model: 'Ridge 437',
  code: 'KR437-D',
  kind: 'ATV',
  engine: single({
    strokeMm: 71.5,
    rodMm: 121,
    layout: 'overhead cam',
    cam: {
      checkLiftMm: 1,
      intakeOpensBeforeTdcDeg: 5,
      intakeClosesAfterBdcDeg: 33,
      exhaustOpensBeforeBdcDeg: 36,
      exhaustClosesAfterTdcDeg: 5,
    },
    decompressor: { kind: 'arc', role: 'exhaust', fromDeg: -118, toDeg: 12 },
    marks: [
      { letter: 'T', angleDeg: 0, kind: 'top' },
      { letter: 'F', angleDeg: 350, kind: 'fire' },
    ],
    markWindow: 'the hole in the left cover',
    turning: { direction: 'anticlockwise', seenFrom: 'the left', means: 'the recoil pulley bolt' },
    clearance: {
      intake: { form: 'limits', minMm: 0.09, maxMm: 0.14, text: '0.09–0.14', unit: 'mm' },
      exhaust: { form: 'limits', minMm: 0.16, maxMm: 0.21, text: '0.16–0.21', unit: 'mm' },
    },
    adjuster: { kind: 'valve-end', pitchMm: 0.75, pitchAssumed: false, rockerRatio: 1, head: 'slot' },
    torques: { locknutNm: 12, coverNm: 11, plugNm: 16 },
    tools: '12 mm box wrench, slot driver, 18 mm plug socket',
    plugGap: '0.8 mm',
    coverPattern: 'crosswise',
    gasket: 'new each time',
    stripDown: ['Seat', 'Left side panel', 'Fuel tank shroud'],
    interval: { use: 1500, months: 12 },
    source: 'Karnok service handbook R437, sheet 18',
    sourceDate: '2024-01-30',
  }),
}
