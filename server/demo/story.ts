import { type Blade, type BladeSet, plainBlade } from '../../core/feeler'
import type { Adapter, Wrench } from '../../core/torque'
import { mmFromThou, newtonMetres } from '../../core/units'
import { G30, HEDGEROW, MINNOW, PLOVER, RIDGE } from './models/singles'
import { DUET, FALLOW, SPAN, SWITCH } from './models/twins'

/** The demo shop's people, owners, machines and jobs. All invented; times count back from the day it is loaded. */
export const SHOP = { name: 'Quillbrook Engine Works', timeZone: 'Etc/UTC', unit: 'mm' as const, demo: 'loading' as const }
export const DEMO_PASSWORD = 'quillbrook'
export const CREW = [
  { signIn: 'ines', name: 'Ines', role: 'lead' as const },
  { signIn: 'tam', name: 'Tam', role: 'mechanic' as const },
  { signIn: 'jory', name: 'Jory', role: 'mechanic' as const },
]
const blade = (mm: number, changes: Partial<Blade> = {}): Blade => ({ ...plainBlade(mm), ...changes })
const thou = (...sizes: number[]): Blade[] => sizes.map(size => blade(mmFromThou(size)))
/** The shelf: a metric set with one blade measured, one bent and one gone; one in thou; stepped ones for the tight spots. */
export const BLADE_SETS: BladeSet[] = [
  { name: 'Set A, metric', unit: 'mm', blades: [0.03, 0.04, 0.05, 0.06, 0.08, 0.10, 0.13, 0.15, 0.18, 0.20, 0.23, 0.25, 0.30].map(mm => blade(mm)).map(b => b.mm === 0.15 ? { ...b, measuredMm: 0.152 } : b.mm === 0.23 ? { ...b, condition: 'bent' } : b.mm === 0.18 ? { ...b, condition: 'missing' } : b) },
  { name: 'Set B, thou', unit: 'thou', blades: thou(1.5, 2, 2.5, 3, 4, 5, 6, 7, 8, 9, 10, 12) },
  { name: 'Stepped, go and no-go', unit: 'mm', blades: [blade(0.06, { stepMm: 0.10 }), blade(0.08, { stepMm: 0.12 }), blade(0.10, { stepMm: 0.14 }), blade(0.13, { stepMm: 0.17 })] },
]
export const WRENCHES: Wrench[] = [
  { name: 'Small click', unit: 'N·m', leastNm: 4, mostNm: 22, lengthMm: 190, calibrationDue: null },
  { name: 'Bench beam', unit: 'lbf·in', leastNm: newtonMetres(20, 'lbf·in'), mostNm: newtonMetres(150, 'lbf·in'), lengthMm: 240, calibrationDue: null },
  { name: 'Long click', unit: 'lbf·ft', leastNm: newtonMetres(15, 'lbf·ft'), mostNm: newtonMetres(80, 'lbf·ft'), lengthMm: 430, calibrationDue: null },
]
/** Days from the day the demo is loaded on which a wrench’s calibration falls due; negative has passed. */
export const CALIBRATION_DAYS = [140, -12, 300]
export const ADAPTERS: Adapter[] = [{ name: 'Crow’s-foot, 10 mm', lengthMm: 38, angleDeg: 0 }, { name: 'Crow’s-foot, 10 mm, square on', lengthMm: 38, angleDeg: 90 }, { name: 'Offset bar', lengthMm: 55, angleDeg: 0 }]
export const SHIMS: { diameterMm: number, sizeMm: number, count: number }[] = [2.2, 2.25, 2.3, 2.35, 2.4, 2.45, 2.5].map((sizeMm, i) => ({ diameterMm: 8.5, sizeMm, count: [1, 2, 0, 3, 2, 1, 1][i]! }))
export const OWNERS = ['Marrow Bridge Hire', 'O. Brackwell', 'Sedge Lane Riders']

export const MACHINES = [
  { key: 'orchard', name: 'Hedgerow 18, orchard', tag: 'M-0101', owner: 0, model: HEDGEROW, meterUnit: 'h' as const },
  { key: 'verge', name: 'Hedgerow 18, verge', tag: 'M-0102', owner: 0, model: HEDGEROW, meterUnit: 'h' as const },
  { key: 'stage', name: 'G30, stage', tag: 'M-0103', owner: 0, model: G30, meterUnit: 'h' as const },
  { key: 'cabin', name: 'G30, cabin', tag: 'M-0104', owner: 1, model: G30, meterUnit: 'h' as const },
  { key: 'red', name: 'Minnow 125, red', tag: 'M-0105', owner: 1, model: MINNOW, meterUnit: 'km' as const },
  { key: 'grey', name: 'Minnow 125, grey', tag: 'M-0106', owner: 0, model: MINNOW, meterUnit: 'km' as const },
  { key: 'duet', name: 'Duet 390, cream', tag: 'M-0108', owner: 2, model: DUET, meterUnit: 'km' as const },
  { key: 'switch', name: 'Switch 470, black', tag: 'M-0109', owner: 2, model: SWITCH, meterUnit: 'km' as const },
  { key: 'fallow', name: 'Fallow V22, tractor', tag: 'M-0110', owner: 0, model: FALLOW, meterUnit: 'h' as const },
  { key: 'plover', name: 'Plover 200-4, teal', tag: 'M-0111', owner: 1, model: PLOVER, meterUnit: 'km' as const },
  { key: 'ridge', name: 'Ridge 420, farm', tag: 'M-0112', owner: 0, model: RIDGE, meterUnit: 'km' as const },
  { key: 'span', name: 'Span 850, patrol', tag: 'M-0113', owner: 2, model: SPAN, meterUnit: 'km' as const },
  { key: 'blue', name: 'Minnow 125, blue', tag: 'M-0107', owner: 0, model: MINNOW, meterUnit: 'km' as const },
]

export type End = 'finding' | 'cooling' | 'ready' | 'measure' | 'prove' | 'held' | 'abandoned' | 'closed'
interface DemoJob { machine: string, by: string, hoursAgo: number, meter: number, complaint: string, gapMm: Record<string, number>, end: End }

const YEAR = 365 * 24
export const JOBS: DemoJob[] = [
  { machine: 'orchard', by: 'ines', hoursAgo: YEAR - 200, meter: 212, complaint: 'due', gapMm: { intake: 0.12, exhaust: 0.13 }, end: 'closed' },
  { machine: 'verge', by: 'tam', hoursAgo: YEAR - 640, meter: 96, complaint: 'due', gapMm: { intake: 0.14, exhaust: 0.24 }, end: 'closed' },
  { machine: 'stage', by: 'tam', hoursAgo: YEAR - 80, meter: 505, complaint: 'hard to start when hot', gapMm: { intake: 0.15, exhaust: 0.15 }, end: 'closed' },
  { machine: 'red', by: 'jory', hoursAgo: YEAR + 300, meter: 4105, complaint: 'ticks when cold', gapMm: { intake: 0.16, exhaust: 0.14 }, end: 'closed' },
  { machine: 'grey', by: 'ines', hoursAgo: YEAR - 400, meter: 7980, complaint: 'due', gapMm: { intake: 0.10, exhaust: 0.13 }, end: 'closed' },
  { machine: 'duet', by: 'tam', hoursAgo: YEAR - 900, meter: 11840, complaint: 'due', gapMm: { 'left-intake': 0.08, 'left-exhaust': 0.06, 'right-intake': 0.08, 'right-exhaust': 0.10 }, end: 'closed' },
  { machine: 'verge', by: 'jory', hoursAgo: 2.2, meter: 171, complaint: 'due', gapMm: { intake: 0.12, exhaust: 0.16 }, end: 'cooling' },
  { machine: 'orchard', by: 'tam', hoursAgo: 1.9, meter: 308, complaint: 'hard to start', gapMm: { intake: 0.11, exhaust: 0.12 }, end: 'ready' },
  { machine: 'stage', by: 'ines', hoursAgo: 1.6, meter: 751, complaint: 'loss of power', gapMm: { intake: 0.14, exhaust: 0.16 }, end: 'measure' },
  { machine: 'cabin', by: 'tam', hoursAgo: 1.5, meter: 88, complaint: 'first check', gapMm: { intake: 0.16, exhaust: 0.21 }, end: 'held' },
  { machine: 'red', by: 'jory', hoursAgo: 1.3, meter: 8240, complaint: 'due', gapMm: { intake: 0.07, exhaust: 0.14 }, end: 'prove' },
  { machine: 'grey', by: 'ines', hoursAgo: 1.1, meter: 12010, complaint: 'due', gapMm: { intake: 0.10, exhaust: 0.10 }, end: 'closed' },
  { machine: 'duet', by: 'ines', hoursAgo: 1.2, meter: 16630, complaint: 'ticks on the left', gapMm: { 'left-intake': 0.08, 'left-exhaust': 0.15, 'right-intake': 0.07, 'right-exhaust': 0.09 }, end: 'finding' },
  { machine: 'blue', by: 'tam', hoursAgo: 0.9, meter: 310, complaint: 'first check', gapMm: { intake: 0.11, exhaust: 0.14 }, end: 'abandoned' },
]
