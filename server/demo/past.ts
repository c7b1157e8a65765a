import type { Complaint } from '../../core/complaint'

/**
 * A visit of a demo machine in the two years before: days ago, and what its meter stood at. One on paper was before the
 * shop had Wembric.
 */
export interface DemoVisit {
  daysAgo: number
  meter: number
  by: string
  paper?: boolean
  complaint?: string
  complaints?: Complaint[]
  /** Found at that visit, and left to do. */
  found?: { part: string; text: string }
  /** What the gaps of some valves did at once since the visit before, mm. */ jumpMm?: Record<string, number>
}
/**
 * What a machine's valves do over the years: where they stood at its first visit, and how they move in 1000 of use, mm.
 * By role, or by valve id.
 */
export interface DemoPast {
  machine: string
  story: string
  firstMm: Record<string, number>
  perThousandMm: Record<string, number>
  visits: DemoVisit[]
}

const paper = (daysAgo: number, meter: number, complaint = 'due'): DemoVisit => ({
  daysAgo,
  meter,
  by: 'tam',
  paper: true,
  complaint,
})
const job = (daysAgo: number, meter: number, by: string, more: Partial<DemoVisit> = {}): DemoVisit => ({
  daysAgo,
  meter,
  by,
  ...more,
})

/**
 * Two years of the demo shop: steady ones, ones that tighten, one loose at its first check, one that jumped, one whose
 * spec was superseded.
 */
export const PASTS: DemoPast[] = [
  {
    machine: 'orchard',
    story: 'exhaust comes back tight each season',
    firstMm: { intake: 0.13, exhaust: 0.18 },
    perThousandMm: { intake: -0.05, exhaust: -0.35 },
    visits: [paper(715, 24, 'first check'), paper(540, 104), job(357, 212, 'ines')],
  },
  {
    machine: 'verge',
    story: 'loose at the first check, then tightens',
    firstMm: { intake: 0.14, exhaust: 0.25 },
    perThousandMm: { intake: -0.04, exhaust: -0.3 },
    visits: [paper(620, 22, 'first check'), job(338, 96, 'tam')],
  },
  {
    machine: 'stage',
    story: 'steady',
    firstMm: { intake: 0.15, exhaust: 0.2 },
    perThousandMm: { intake: -0.005, exhaust: -0.01 },
    visits: [paper(700, 118), paper(530, 302), job(362, 505, 'tam', { complaint: 'hard to start when hot' })],
  },
  {
    machine: 'red',
    story: 'steady',
    firstMm: { intake: 0.11, exhaust: 0.14 },
    perThousandMm: { intake: -0.0015, exhaust: -0.001 },
    visits: [paper(690, 620, 'first check'), job(377, 4105, 'jory', { complaint: 'ticks when cold' })],
  },
  {
    machine: 'gray',
    story: 'steady',
    firstMm: { intake: 0.1, exhaust: 0.14 },
    perThousandMm: { intake: -0.001, exhaust: -0.001 },
    visits: [paper(720, 540, 'first check'), job(348, 7980, 'ines')],
  },
  {
    machine: 'duet',
    story: 'left exhaust tightens; a bulletin raised the exhausts in between',
    firstMm: { intake: 0.08, exhaust: 0.09 },
    perThousandMm: { 'intake': -0.001, 'exhaust': -0.002, 'left-exhaust': -0.009 },
    visits: [paper(715, 1010, 'first check'), paper(560, 6120), job(430, 9060, 'jory'), job(327, 11840, 'tam')],
  },
  {
    machine: 'switch',
    story: 'steady',
    firstMm: { intake: 0.13, exhaust: 0.2 },
    perThousandMm: { intake: -0.0005, exhaust: -0.001 },
    visits: [paper(650, 800, 'first check'), job(228, 15300, 'ines')],
  },
  {
    machine: 'fallow',
    story: 'one exhaust faster than the others',
    firstMm: { intake: 0.13, exhaust: 0.165 },
    perThousandMm: { 'intake': -0.01, 'exhaust': -0.02, 'right-exhaust': -0.08 },
    visits: [paper(600, 44, 'first check'), job(400, 230, 'jory'), job(150, 420, 'jory')],
  },
  {
    machine: 'plover',
    story: 'loose at the first check',
    firstMm: { intake: 0.11, exhaust: 0.24 },
    perThousandMm: { intake: -0.001, exhaust: -0.002 },
    visits: [paper(630, 905, 'first check'), job(228, 10900, 'ines')],
  },
  {
    machine: 'ridge',
    story: 'one visit jumped',
    firstMm: { intake: 0.12, exhaust: 0.19 },
    perThousandMm: { intake: -0.001, exhaust: -0.003 },
    visits: [
      paper(610, 310, 'first check'),
      paper(500, 1650),
      job(320, 3100, 'tam'),
      job(170, 4500, 'jory', { jumpMm: { exhaust: -0.055 }, complaint: 'loss of power' }),
      job(40, 5900, 'tam'),
    ],
  },
  {
    machine: 'span',
    story: 'shims, steady',
    firstMm: { intake: 0.14, exhaust: 0.22 },
    perThousandMm: { intake: -0.002, exhaust: -0.003 },
    visits: [paper(540, 480, 'first check'), job(270, 2600, 'ines')],
  },
  {
    machine: 'level',
    story: 'a flat four, one exhaust tightens',
    firstMm: { intake: 0.1, exhaust: 0.14 },
    perThousandMm: { 'intake': -0.001, 'exhaust': -0.001, 'three-exhaust': -0.006 },
    visits: [
      paper(580, 950, 'first check'),
      job(205, 9800, 'ines', { complaints: ['loses power high up'], complaint: '' }),
    ],
  },
  {
    machine: 'fork',
    story: 'a V-twin, steady; a leaking fork seal was found',
    firstMm: { intake: 0.12, exhaust: 0.16 },
    perThousandMm: { intake: -0.001, exhaust: -0.002 },
    visits: [
      paper(510, 870, 'first check'),
      job(190, 6700, 'tam', {
        complaints: ['ticks cold'],
        complaint: '',
        found: { part: 'Fuel hose', text: 'hardened at the clip' },
      }),
    ],
  },
  {
    machine: 'heron',
    story: 'steady',
    firstMm: { intake: 0.1, exhaust: 0.18 },
    perThousandMm: { intake: -0.001, exhaust: -0.001 },
    visits: [job(240, 1000, 'jory', { complaint: 'first check' })],
  },
  {
    machine: 'barn',
    story: 'exhaust tightens; kicked back',
    firstMm: { intake: 0.15, exhaust: 0.2 },
    perThousandMm: { intake: -0.02, exhaust: -0.15 },
    visits: [
      paper(480, 60, 'first check'),
      job(160, 290, 'tam', { complaints: ['hard to start hot', 'kicks back'], complaint: '' }),
    ],
  },
]
