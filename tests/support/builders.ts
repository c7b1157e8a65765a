import type { z } from 'zod'
import { type Engine, engineSchema } from '../../core/engine'
import { type BladeSet, bladeSetSchema, USUAL_HAND } from '../../core/feeler'
import { type Happening, type JobEvent, type JobPin, JUDGEMENT_VERSION } from '../../core/job'

/** A one-cylinder engine with a T mark, assumed cam and no decompressor; everything can be replaced. */
export function engineOf(changes: Partial<z.input<typeof engineSchema>> = {}): Engine {
  return engineSchema.parse({
    strokeMm: 57.8,
    rodMm: 100,
    cylinders: [{ id: 'only', name: 'Cylinder', firingAngleDeg: 0 }],
    valves: [
      { id: 'intake', cylinderId: 'only', role: 'intake', name: 'Intake', headX: 0.5, headY: 0.75 },
      { id: 'exhaust', cylinderId: 'only', role: 'exhaust', name: 'Exhaust', headX: 0.5, headY: 0.25 },
    ],
    layout: 'overhead cam',
    cam: null,
    decompressor: { kind: 'none' },
    marks: [
      { letter: 'T', angleDeg: 0, kind: 'top' },
      { letter: 'F', angleDeg: 346, kind: 'fire' },
    ],
    markWindow: 'the rotor window',
    turning: { direction: 'anticlockwise', seenFrom: 'the left', means: 'the crank nut' },
    clearance: {
      intake: { form: 'limits', minMm: 0.08, maxMm: 0.12, text: '0.08–0.12', unit: 'mm' },
      exhaust: { form: 'limits', minMm: 0.1, maxMm: 0.14, text: '0.10–0.14', unit: 'mm' },
    },
    setWhen: 'cold',
    coldLimitC: 35,
    adjuster: { kind: 'valve-end', pitchMm: 0.75, pitchAssumed: false, rockerRatio: 1, head: 'slot' },
    torques: { locknutNm: 8, coverNm: 10, plugNm: 12 },
    tools: '9 mm box wrench, slot driver',
    plugGap: '0.7 mm',
    coverPattern: 'crosswise',
    gasket: 'new each time',
    stripDown: ['Seat'],
    interval: { use: 4000, months: 12 },
    source: 'Workshop manual, page 61',
    sourceDate: '2024-09-09',
    ...changes,
  })
}

export const METRIC_BLADES = [
  0.03, 0.04, 0.05, 0.06, 0.07, 0.08, 0.09, 0.1, 0.12, 0.13, 0.14, 0.15, 0.18, 0.2, 0.25, 0.3,
]

/** A set of sound blades by their sizes in mm. */
export const setOf = (name: string, bladesMm: readonly number[], unit: BladeSet['unit'] = 'mm'): BladeSet =>
  bladeSetSchema.parse({ name, unit, bladesMm })
const METRIC_SET = setOf('Set A', METRIC_BLADES)

export function pinOf(engine: Engine = engineOf(), changes: Partial<JobPin> = {}): JobPin {
  return {
    jobId: 1,
    number: 1,
    judgementVersion: JUDGEMENT_VERSION,
    machine: {
      id: 1,
      name: 'Test machine',
      tag: 'M-1',
      owner: 'A. Owner',
      meterUnit: 'km',
      meter: 1200,
      lastMeter: 200,
    },
    modelName: 'Test model',
    spec: { revisionId: 1, revision: 1, status: 'approved', engine },
    modelId: 1,
    bladeSet: METRIC_SET,
    otherSets: [],
    wrenches: [],
    adapters: [],
    shimStockMm: [],
    locks: [],
    target: 'middle',
    bladeHabit: 'out at torque',
    pairToProve: false,
    hand: USUAL_HAND,
    unit: 'mm',
    school: null,
    decompressor: null,
    past: null,
    quick: null,
    complaint: 'ticks when cold',
    complaints: [],
    toDo: [],
    plugsNew: {},
    openedAt: '2026-11-25T08:00:00+00:00',
    openedBy: 'Ada',
    lastAsLeft: null,
    ...changes,
  }
}

/** Writes a job's log by hand: each happening gets the next id and sequence. */
/** A second after the last answer of a log: nobody has paused. */
export const afterLast = (log: LogBook, otherwise: number): number =>
  log.events.length ? Date.parse(log.events.at(-1)!.at) + 1000 : otherwise

export class LogBook {
  readonly events: JobEvent[] = []
  constructor(readonly device = 'bench-1') {}
  add(happening: Happening, changes: Partial<JobEvent> = {}): JobEvent {
    const n = this.events.length + 1
    const event = {
      ...happening,
      id: `0190${n.toString(16).padStart(4, '0')}-0000-7000-8000-000000000000`,
      seq: n,
      version: 1,
      personId: 1,
      personName: 'Ada',
      deviceId: this.device,
      deviceSeq: n,
      seenSeq: n - 1,
      at: new Date(Date.UTC(2026, 10, 25, 8, n)).toISOString(),
      ...changes,
    } as JobEvent
    this.events.push(event)
    return event
  }
}
