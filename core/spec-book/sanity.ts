import { threadText } from '../adjuster'
import {
  type Clearance,
  closedArcs,
  type Engine,
  firingAngle,
  ROLES,
  type Role,
  spareInArc,
  unitSlip,
  valveById,
  withDecompressor,
} from '../engine'
import { spanOf, targetOf } from '../feeler'
import { say, type Said, type Text } from '../said'
import { planStops } from '../stops'
import { formatLength, MM_PER_INCH, NEWTON_METRES, snapMm } from '../units'
import type { SpecField } from './spec-form'

/**
 * Something in a spec that may be a slip: both readings are named and a person says which is meant. Nothing is changed.
 */
export interface Doubt {
  /** The same for the same doubt about the same figures: who has answered it once is not asked again. */
  id: string
  field: SpecField
  says: Said
  readings: [Text, Text]
}

const plain = (value: number, digits = 4): string => String(Number(value.toFixed(digits)))
const printed = (clearance: Clearance): string =>
  /[a-z"″]/i.test(clearance.text) ? clearance.text : `${clearance.text} ${clearance.unit}`

/** Half of the last printed place of a figure, in mm: what rounding may have taken. */
function roundingMm(clearance: Clearance): number {
  const decimals = Math.max(0, ...[...clearance.text.matchAll(/[.,](\d+)/g)].map(m => m[1]!.length))
  const step = 10 ** -decimals / 2
  return clearance.unit === 'mm' ? step : clearance.unit === 'in' ? step * MM_PER_INCH : (step * MM_PER_INCH) / 1000
}
const figuresOf = (c: Clearance): number[] =>
  c.form === 'limits' ? [c.minMm, c.maxMm] : c.form === 'tolerance' ? [c.figureMm, c.toleranceMm] : [c.figureMm]

/** Ratios that a slip makes: a decimal place, or one unit taken for the other. */
const SLIPS = [10, 25.4, 100, 1000] as const
export type Slip = (typeof SLIPS)[number]
const slipOf = (ratio: number): Slip | null => SLIPS.find(times => Math.abs(ratio / times - 1) < 0.15) ?? null

function unitsDiffer(role: Role, first: Clearance, second: Clearance): Doubt[] {
  const [a, b] = [figuresOf(first), figuresOf(second)]
  const [x, y] = a.length === b.length && first.form === second.form ? [a, b] : [[targetOf(first)], [targetOf(second)]]
  const may = roundingMm(first) + roundingMm(second) + 1e-9
  const off = x.findIndex((v, i) => Math.abs(v - y[i]!) > may)
  if (off < 0) return []
  const [larger, smaller] = [Math.max(x[off]!, y[off]!), Math.min(x[off]!, y[off]!)]
  const slip = smaller > 0 ? slipOf(larger / smaller) : null
  return [
    {
      id: `units:${role}:${first.text}:${second.text}`,
      field: role === 'intake' ? 'intakeAlso' : 'exhaustAlso',
      says: say('doubt.units', {
        role,
        other: printed(second),
        otherMm: plain(y[off]!, 3),
        mm: plain(x[off]!, 3),
        slip,
        apartMm: plain(larger - smaller, 3),
      }),
      readings: [printed(first), printed(second)],
    },
  ]
}

function outside(role: Role, clearance: Clearance, field: SpecField = role): Doubt[] {
  const { minMm, maxMm } = spanOf(clearance)
  const [mm, slip] = [maxMm, minMm].map(v => [v, unitSlip(v)] as const).find(([, s]) => s) ?? [0, null]
  return slip
    ? [
        {
          id: `range:${field}:${role}:${clearance.text}`,
          field,
          says: say('doubt.range', { role, slip }),
          readings: [
            `${plain(mm)} mm`,
            slip.meant.length ? say('doubt.meant', { meant: slip.meant }) : say('doubt.another-figure'),
          ],
        },
      ]
    : []
}

function betweenRoles(clearance: Engine['clearance']): Doubt[] {
  const [intake, exhaust] = [targetOf(clearance.intake), targetOf(clearance.exhaust)]
  const readings: Doubt['readings'] = [
    say('doubt.figure-of', { role: 'intake', figure: printed(clearance.intake) }),
    say('doubt.figure-of', { role: 'exhaust', figure: printed(clearance.exhaust) }),
  ]
  const ratio = Math.max(intake, exhaust) / Math.min(intake, exhaust)
  const slip = slipOf(ratio)
  const id = `${clearance.intake.text}:${clearance.exhaust.text}`
  if (slip)
    return [
      {
        id: `tenfold:${id}`,
        field: 'exhaust',
        says: say('doubt.tenfold', { slip }),
        readings,
      },
    ]
  return exhaust < intake - 1e-9
    ? [
        {
          id: `tighter:${id}`,
          field: 'exhaust',
          says: say('doubt.tighter'),
          readings,
        },
      ]
    : []
}

/** Small engines are seldom set wider or closer than this in both fields. mm, from memory */
const BOTH_SELDOM_MM = { over: 0.4, under: 0.04 }
/** A place slipped in both fields: neither looks odd beside the other. */
function bothTenfold({ intake, exhaust }: Engine['clearance']): Doubt[] {
  const figures = [targetOf(intake), targetOf(exhaust)]
  const times = figures.every(mm => mm >= BOTH_SELDOM_MM.over)
    ? 0.1
    : figures.every(mm => mm <= BOTH_SELDOM_MM.under)
      ? 10
      : 0
  if (times === 0) return []
  const both = (by: number) => say('doubt.both-mm', { mm: figures.map(mm => plain(mm * by, 3)) })
  return [
    {
      id: `both:${intake.text}:${exhaust.text}`,
      field: 'intake',
      says: say('doubt.both', { wide: times < 1, meantMm: figures.map(mm => plain(mm * times, 3)) }),
      readings: [both(1), both(times)],
    },
  ]
}

/** Proof stress of the weakest and strongest usual steel, MPa. Source: ISO 898-1, classes 4.8 and 12.9. */
const PROOF_MPA = { weakest: 310, strongest: 970 }
/**
 * Preload as part of the proof load, and the nut factor of T = K·d·F. Source: Shigley, Mechanical Engineering Design,
 * bolt preload.
 */
const PRELOAD = { least: 0.25, most: 0.75 }
const NUT_FACTOR = 0.2
/** The torques that a thread of steel can be meant to have, N·m. Stress area π/4·(d − 0.9382·P)² by ISO 898-1. */
export function threadTorques({ threadMm, pitchMm }: { threadMm: number; pitchMm: number }): {
  leastNm: number
  mostNm: number
} {
  const areaMm2 = (Math.PI / 4) * (threadMm - 0.9382 * pitchMm) ** 2
  const at = (share: number, proof: number) => ((NUT_FACTOR * threadMm) / 1000) * share * areaMm2 * proof
  return { leastNm: at(PRELOAD.least, PROOF_MPA.weakest), mostNm: at(PRELOAD.most, PROOF_MPA.strongest) }
}
/** Where the thread is not on record, and for covers and plugs: what such parts have, N·m. From memory. */
const USUAL_NM = {
  locknut: { leastNm: 3, mostNm: 35 },
  cover: { leastNm: 3, mostNm: 30 },
  plug: { leastNm: 6, mostNm: 45 },
}

function torques({ torques, adjuster, valves }: Engine): Doubt[] {
  const { threadMm, pitchMm } = adjuster
  const nut =
    threadMm === null
      ? { ...USUAL_NM.locknut, thread: null }
      : { ...threadTorques({ threadMm, pitchMm }), thread: threadText({ threadMm, pitchMm }) }
  const asked = [
    ['locknut', valves.some(v => v.adjuster === 'screw') ? torques.locknutNm : null, nut],
    ['cover', torques.coverNm, { ...USUAL_NM.cover, thread: null }],
    ['plug', torques.plugNm, { ...USUAL_NM.plug, thread: null }],
  ] as const
  return asked.flatMap(([field, nm, { leastNm, mostNm, thread }]) => {
    if (nm === null || (nm >= leastNm && nm <= mostNm)) return []
    const meant = [
      [nm / 10, `${plain(nm / 10)} N·m`],
      [nm * 10, `${plain(nm * 10)} N·m`],
      [nm * NEWTON_METRES['lbf·in'], `${plain(nm)} lbf·in, ${plain(nm * NEWTON_METRES['lbf·in'], 1)} N·m`],
      [nm * NEWTON_METRES['lbf·ft'], `${plain(nm)} lbf·ft, ${plain(nm * NEWTON_METRES['lbf·ft'], 1)} N·m`],
    ] as const
    const fits = meant.filter(([v]) => v >= leastNm && v <= mostNm).map(([, words]) => words)
    return [
      {
        id: `torque:${field}:${nm}:${threadMm ?? ''}`,
        field,
        readings: [`${plain(nm)} N·m`, fits[0] ?? say('doubt.another-figure')] as Doubt['readings'],
        says: say('doubt.torque', {
          of: field,
          thread,
          nm: plain(nm),
          most: nm > mostNm ? plain(mostNm, 0) : null,
          least: plain(leastNm, 1),
          meant: [...fits],
        }),
      },
    ]
  })
}

function openAtStops(engine: Engine): Doubt[] {
  if (engine.cam === null) return []
  const flagged = engine.makersStops.length
    ? planStops(withDecompressor(engine, null), 'maker').stops.flatMap(stop =>
        stop.flagged.map(id => ({ id, deg: stop.crankDeg, makers: true })),
      )
    : engine.valves.flatMap(valve => {
        const top = firingAngle(engine, valve.cylinderId)
        return (closedArcs(engine, false)[valve.id] ?? []).some(arc => spareInArc(arc, top).beforeDeg >= 0)
          ? []
          : [{ id: valve.id, deg: top, makers: false }]
      })
  return flagged.map(({ id, deg, makers }) => {
    const valve = valveById(engine, id)
    return {
      id: `open:${id}:${deg}:${JSON.stringify(engine.cam)}`,
      field: engine.makersStops.length ? 'stops' : valve.role === 'intake' ? 'ic' : 'ec',
      says: say('doubt.open', { valve: valve.name, deg: plain(deg), makers }),
      readings: [say('doubt.open.measures', { valve: valve.name, deg: plain(deg), makers }), say('doubt.open.holds')],
    } satisfies Doubt
  })
}

/** A maker's list that leaves a valve out, or that nothing can be held against. */
function makersList({ makersStops, valves, cam }: Engine): Doubt[] {
  if (makersStops.length === 0) return []
  const named = new Set(makersStops.flatMap(s => s.valveIds))
  const left = valves.filter(v => !named.has(v.id)).map(v => v.name)
  const id = makersStops.map(s => `${s.crankDeg}=${s.valveIds.join('+')}`).join()
  return [
    ...(left.length
      ? [
          {
            id: `left-out:${id}`,
            field: 'stops' as const,
            says: say('doubt.left-out', { valves: left }),
            readings: [say('doubt.left-out.stop'), say('doubt.left-out.none')] as Doubt['readings'],
          },
        ]
      : []),
    ...(cam === null
      ? [
          {
            id: `unchecked:${id}`,
            field: 'stops' as const,
            says: say('doubt.unchecked'),
            readings: [say('doubt.unchecked.read'), say('doubt.unchecked.cam')] as Doubt['readings'],
          },
        ]
      : []),
  ]
}

/** Two cylinders never fire nearer to each other than this, on the engines that are meant here. Degrees, from memory */
const NEAREST_FIRING_DEG = 90
/** A firing angle with a place lost: 36 for 360. */
function firing({ cylinders }: Engine): Doubt[] {
  return cylinders.flatMap((cylinder, i) => {
    const before = cylinders[i - 1]
    if (!before) return []
    const apart = Math.abs(cylinder.firingAngleDeg - before.firingAngleDeg)
    const near = Math.min(apart, 720 - apart)
    const meant = before.firingAngleDeg + apart * 10
    return near >= NEAREST_FIRING_DEG
      ? []
      : [
          {
            id: `firing:${cylinder.name}:${cylinder.firingAngleDeg}`,
            field: 'cylinders' as const,
            says: say('doubt.firing', {
              cylinder: cylinder.name,
              before: before.name,
              deg: plain(near),
              meantDeg: meant < 720 ? plain(meant) : null,
            }),
            readings: [
              `${plain(cylinder.firingAngleDeg)}°`,
              meant < 720 ? `${plain(meant)}°` : say('doubt.another-angle'),
            ],
          },
        ]
  })
}

/**
 * Intakes close later after their dead center than they open before it, exhausts the other way round: common practice.
 */
function exchangedTiming({ cam }: Engine): Doubt[] {
  if (!cam) return []
  const { intakeOpensBeforeTdcDeg: io, intakeClosesAfterBdcDeg: ic } = cam
  const { exhaustOpensBeforeBdcDeg: eo, exhaustClosesAfterTdcDeg: ec } = cam
  const doubt = (field: 'io' | 'eo', role: Role, opens: number, closes: number): Doubt => ({
    id: `exchanged:${field}:${opens}:${closes}`,
    field,
    says: say('doubt.exchanged', { role, opens: plain(opens), closes: plain(closes) }),
    readings: [
      say('doubt.timing', { opens: plain(opens), closes: plain(closes) }),
      say('doubt.timing', { opens: plain(closes), closes: plain(opens) }),
    ],
  })
  return [...(io > ic ? [doubt('io', 'intake', io, ic)] : []), ...(ec > eo ? [doubt('eo', 'exhaust', eo, ec)] : [])]
}

/** Lifters that take up their own slack have no clearance to set. */
function hydraulic({ valves }: Engine): Doubt[] {
  return valves.every(v => v.adjuster === 'none')
    ? [
        {
          id: 'hydraulic',
          field: 'intakeBy' as const,
          says: say('doubt.hydraulic'),
          readings: [say('doubt.hydraulic.measured'), say('doubt.hydraulic.screw')],
        },
      ]
    : []
}

/**
 * What in a spec may be a slip, each with both readings. An empty list says that nothing looked odd, not that the page
 * was read rightly.
 * @param engine data that the schema has taken
 */
export function doubtsOf(engine: Engine): Doubt[] {
  const { clearance, alsoPrinted } = engine
  const ranges = ROLES.flatMap(role => outside(role, clearance[role]))
  const otherRanges = engine.otherClearances.flatMap(o => outside(o.role, o.clearance, 'others'))
  const wide = ROLES.flatMap((role): Doubt[] => {
    const c = clearance[role]
    return c.form === 'tolerance' && snapMm(c.toleranceMm * 2) > c.figureMm
      ? [
          {
            id: `wide:${role}:${c.text}`,
            field: role,
            says: say('doubt.wide', {
              role,
              widthMm: formatLength(c.toleranceMm * 2, 'mm'),
              figureMm: formatLength(c.figureMm, 'mm'),
              meantMm: plain(c.toleranceMm / 10),
            }),
            readings: [`± ${plain(c.toleranceMm)} mm`, `± ${plain(c.toleranceMm / 10)} mm`],
          },
        ]
      : []
  })
  return [
    ...ranges,
    ...otherRanges,
    ...wide,
    ...ROLES.flatMap(role => (alsoPrinted[role] ? unitsDiffer(role, clearance[role], alsoPrinted[role]) : [])),
    ...(ranges.length ? [] : [...betweenRoles(clearance), ...bothTenfold(clearance)]),
    ...torques(engine),
    ...openAtStops(engine),
    ...makersList(engine),
    ...firing(engine),
    ...exchangedTiming(engine),
    ...hydraulic(engine),
  ]
}
