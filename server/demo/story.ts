import { type Blade, type BladeSet, plainBlade } from '../../core/feeler'
import type { Adapter, Wrench } from '../../core/torque'
import { mmFromThou, newtonMetres } from '../../core/units'
import { G30, HEDGEROW, MINNOW, PLOVER, RIDGE } from './models/singles'
import { DUET, FALLOW, SPAN, SWITCH } from './models/twins'
import { FORK, LEVEL } from './models/whole-fours-and-twins'
import { G55, HERON } from './models/whole-singles'

/** The demo shop's people, owners, machines and jobs. All invented; times count back from the day it is loaded. */
export const SHOP = {
  name: 'Quillbrook Engine Works',
  timeZone: 'Etc/UTC',
  unit: 'mm' as const,
  demo: 'loading' as const,
}
export const DEMO_PASSWORD = 'quillbrook'
export const CREW = [
  { signIn: 'ines', name: 'Ines', role: 'lead' as const },
  { signIn: 'tam', name: 'Tam', role: 'mechanic' as const },
  { signIn: 'jory', name: 'Jory', role: 'mechanic' as const },
]
const blade = (mm: number, changes: Partial<Blade> = {}): Blade => ({ ...plainBlade(mm), ...changes })
const thou = (...sizes: number[]): Blade[] => sizes.map(size => blade(mmFromThou(size)))
/**
 * The shelf: a metric set with one blade measured, one bent and one gone; one in thou; stepped ones for the tight
 * spots.
 */
export const BLADE_SETS: BladeSet[] = [
  {
    name: 'Set A, metric',
    unit: 'mm',
    blades: [0.03, 0.04, 0.05, 0.06, 0.08, 0.1, 0.13, 0.15, 0.18, 0.2, 0.23, 0.25, 0.3]
      .map(mm => blade(mm))
      .map(b =>
        b.mm === 0.15
          ? { ...b, measuredMm: 0.152 }
          : b.mm === 0.23
            ? { ...b, condition: 'bent' }
            : b.mm === 0.18
              ? { ...b, condition: 'missing' }
              : b,
      ),
  },
  { name: 'Set B, thou', unit: 'thou', blades: thou(1.5, 2, 2.5, 3, 4, 5, 6, 7, 8, 9, 10, 12) },
  {
    name: 'Stepped, go and no-go',
    unit: 'mm',
    blades: [
      blade(0.06, { stepMm: 0.1 }),
      blade(0.08, { stepMm: 0.12 }),
      blade(0.1, { stepMm: 0.14 }),
      blade(0.13, { stepMm: 0.17 }),
    ],
  },
]
export const WRENCHES: Wrench[] = [
  { name: 'Small click', unit: 'N·m', leastNm: 4, mostNm: 22, lengthMm: 190, calibrationDue: null },
  {
    name: 'Bench beam',
    unit: 'lbf·in',
    leastNm: newtonMetres(20, 'lbf·in'),
    mostNm: newtonMetres(150, 'lbf·in'),
    lengthMm: 240,
    calibrationDue: null,
  },
  {
    name: 'Long click',
    unit: 'lbf·ft',
    leastNm: newtonMetres(15, 'lbf·ft'),
    mostNm: newtonMetres(80, 'lbf·ft'),
    lengthMm: 430,
    calibrationDue: null,
  },
]
/** Days from the day the demo is loaded on which a wrench’s calibration falls due; negative has passed. */
export const CALIBRATION_DAYS = [140, -12, 300]
export const ADAPTERS: Adapter[] = [
  { name: 'Crow’s-foot, 10 mm', lengthMm: 38, angleDeg: 0 },
  { name: 'Crow’s-foot, 10 mm, square on', lengthMm: 38, angleDeg: 90 },
  { name: 'Offset bar', lengthMm: 55, angleDeg: 0 },
]
export const SHIMS: { diameterMm: number; sizeMm: number; count: number }[] = [
  2.2, 2.25, 2.3, 2.35, 2.4, 2.45, 2.5,
].map((sizeMm, i) => ({ diameterMm: 8.5, sizeMm, count: [1, 2, 0, 3, 2, 1, 1][i]! }))
export const OWNERS = [
  { name: 'Marrow Bridge Hire', contact: 'Bridge yard, ask for Wenna', email: 'yard@marrow-bridge.example' },
  { name: 'O. Brackwell', contact: 'mornings by telephone', email: '' },
  { name: 'Sedge Lane Riders', contact: 'Club house, Sedge Lane', email: 'workshop@sedge-lane.example' },
]

export const MACHINES = [
  {
    key: 'orchard',
    name: 'Hedgerow 18, orchard',
    tag: 'M-0101',
    serial: 'HG18-20417',
    owner: 0,
    model: HEDGEROW,
    meterUnit: 'h' as const,
  },
  {
    key: 'verge',
    name: 'Hedgerow 18, verge',
    tag: 'M-0102',
    serial: 'HG18-20888',
    owner: 0,
    model: HEDGEROW,
    meterUnit: 'h' as const,
  },
  {
    key: 'stage',
    name: 'G30, stage',
    tag: 'M-0103',
    serial: 'G30-7712',
    owner: 0,
    model: G30,
    meterUnit: 'h' as const,
  },
  {
    key: 'cabin',
    name: 'G30, cabin',
    tag: 'M-0104',
    serial: 'G30-9034',
    owner: 1,
    model: G30,
    meterUnit: 'h' as const,
  },
  {
    key: 'red',
    name: 'Minnow 125, red',
    tag: 'M-0105',
    plate: 'QB 41 RD',
    owner: 1,
    model: MINNOW,
    meterUnit: 'km' as const,
  },
  {
    key: 'gray',
    name: 'Minnow 125, gray',
    tag: 'M-0106',
    plate: 'QB 77 GY',
    owner: 0,
    model: MINNOW,
    meterUnit: 'km' as const,
  },
  {
    key: 'duet',
    name: 'Duet 405, cream',
    tag: 'M-0108',
    plate: 'SL 405 C',
    owner: 2,
    model: DUET,
    meterUnit: 'km' as const,
  },
  {
    key: 'switch',
    name: 'Switch 470, black',
    tag: 'M-0109',
    plate: 'SL 470 B',
    owner: 2,
    model: SWITCH,
    meterUnit: 'km' as const,
  },
  {
    key: 'fallow',
    name: 'Fallow V22, tractor',
    tag: 'M-0110',
    serial: 'FV22-0563',
    owner: 0,
    model: FALLOW,
    meterUnit: 'h' as const,
  },
  {
    key: 'plover',
    name: 'Plover 200-4, teal',
    tag: 'M-0111',
    plate: 'QB 20 TL',
    owner: 1,
    model: PLOVER,
    meterUnit: 'km' as const,
  },
  {
    key: 'ridge',
    name: 'Ridge 437, farm',
    tag: 'M-0112',
    serial: 'RG420-1180',
    owner: 0,
    model: RIDGE,
    meterUnit: 'km' as const,
  },
  {
    key: 'span',
    name: 'Span 850, patrol',
    tag: 'M-0113',
    plate: 'SL 850 P',
    owner: 2,
    model: SPAN,
    meterUnit: 'km' as const,
  },
  {
    key: 'blue',
    name: 'Minnow 125, blue',
    tag: 'M-0107',
    plate: 'QB 12 BL',
    owner: 0,
    model: MINNOW,
    meterUnit: 'km' as const,
  },
  {
    key: 'level',
    name: 'Level 4, green',
    tag: 'M-0114',
    plate: 'LV 41 GR',
    owner: 2,
    model: LEVEL,
    meterUnit: 'km' as const,
  },
  {
    key: 'fork',
    name: 'Fork 720, black',
    tag: 'M-0115',
    plate: 'FK 72 BK',
    owner: 2,
    model: FORK,
    meterUnit: 'km' as const,
  },
  {
    key: 'heron',
    name: 'Heron 250, white',
    tag: 'M-0116',
    plate: 'HR 25 WT',
    owner: 1,
    model: HERON,
    meterUnit: 'km' as const,
  },
  {
    key: 'barn',
    name: 'G55 generator, barn',
    tag: 'M-0117',
    serial: 'PG55-0882',
    owner: 1,
    model: G55,
    meterUnit: 'h' as const,
  },
]

export type End = 'finding' | 'cooling' | 'ready' | 'measure' | 'prove' | 'held' | 'abandoned' | 'closed'
/**
 * `head`: how many minutes before now the head was read, and what it had, °C. `for`: whose card it is, where that is
 * not who began it.
 */
interface DemoJob {
  machine: string
  by: string
  hoursAgo: number
  meter: number
  complaint: string
  gapMm: Record<string, number>
  end: End
  head?: [number, number][]
  assigned?: string | null
  tasks?: { name: string; needs: 'cold' | 'warm' | 'either' }[]
}

/** What is on the board on the day the demo is loaded. */
export const JOBS: DemoJob[] = [
  {
    machine: 'verge',
    by: 'jory',
    hoursAgo: 0.9,
    meter: 171,
    complaint: 'due',
    gapMm: { intake: 0.12, exhaust: 0.16 },
    end: 'cooling',
    head: [
      [40, 74],
      [6, 58],
    ],
    tasks: [
      { name: 'Oil change', needs: 'warm' },
      { name: 'Sharpen the blade', needs: 'either' },
    ],
  },
  {
    machine: 'orchard',
    by: 'tam',
    hoursAgo: 1.9,
    meter: 308,
    complaint: 'hard to start',
    gapMm: { intake: 0.11, exhaust: 0.12 },
    end: 'ready',
    assigned: null,
  },
  {
    machine: 'stage',
    by: 'ines',
    hoursAgo: 1.6,
    meter: 751,
    complaint: 'loss of power',
    gapMm: { intake: 0.14, exhaust: 0.16 },
    end: 'measure',
  },
  {
    machine: 'cabin',
    by: 'tam',
    hoursAgo: 1.5,
    meter: 88,
    complaint: 'first check',
    gapMm: { intake: 0.16, exhaust: 0.21 },
    end: 'held',
  },
  {
    machine: 'red',
    by: 'jory',
    hoursAgo: 1.3,
    meter: 8240,
    complaint: 'due',
    gapMm: { intake: 0.07, exhaust: 0.14 },
    end: 'prove',
    tasks: [{ name: 'Oil change', needs: 'warm' }],
  },
  {
    machine: 'gray',
    by: 'ines',
    hoursAgo: 1.1,
    meter: 12010,
    complaint: 'due',
    gapMm: { intake: 0.1, exhaust: 0.1 },
    end: 'closed',
  },
  {
    machine: 'duet',
    by: 'ines',
    hoursAgo: 1.2,
    meter: 16630,
    complaint: 'ticks on the left',
    gapMm: { 'left-intake': 0.08, 'left-exhaust': 0.15, 'right-intake': 0.07, 'right-exhaust': 0.09 },
    end: 'finding',
  },
  {
    machine: 'blue',
    by: 'tam',
    hoursAgo: 0.9,
    meter: 310,
    complaint: 'first check',
    gapMm: { intake: 0.11, exhaust: 0.14 },
    end: 'abandoned',
  },
]
