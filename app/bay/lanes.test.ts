import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { BayCard } from '~~/shared/board'
import { type Lane, lanesByPerson, lanesByStage, moveMeant } from './lanes'

const card = (jobId: number, assigned: number | null = null, column: BayCard['column'] = 'ready'): BayCard => ({
  jobId,
  number: jobId,
  column,
  status: column === 'done' ? 'closed' : 'open',
  statusReason: null,
  machine: `Machine ${jobId}`,
  model: '',
  kind: '',
  owner: '',
  people: [],
  complaint: '',
  complaints: [],
  temperature: null,
  rested: null,
  cooling: null,
  assigned: assigned === null ? null : { id: assigned, name: `P${assigned}` },
  place: jobId,
  turn: null,
  tasks: [],
  valves: [],
  next: '',
  closedAt: null,
})
const crew = [
  { id: 1, name: 'P1' },
  { id: 2, name: 'P2' },
]
const idsOf = ({ cards }: Pick<Lane, 'cards'>) => cards.map(c => c.jobId)

describe('the lanes of the Bay', () => {
  const cards = [card(1, 1), card(2, 2, 'bench'), card(3), card(4, 1, 'done'), card(5, 1, 'cooling')]
  it('by stage: each card once, where it stands by the clock', () => {
    // what has cooled since the board was fetched is ready
    const lanes = lanesByStage(cards, c => (c.column === 'cooling' ? 'ready' : c.column))
    expect(lanes.map(l => [l.key, idsOf(l)])).toEqual([
      ['cooling', []],
      ['ready', [1, 3, 5]],
      ['bench', [2]],
      ['prove', []],
      ['done', [4]],
    ])
  })
  it('by person: open work only, nobody’s last', () => {
    expect(lanesByPerson({ cards, crew }).map(l => [l.personId, idsOf(l)])).toEqual([
      [1, [1, 5]],
      [2, [2]],
      [null, [3]],
    ])
  })
})

describe('a card that was let go', () => {
  const lane = (personId: number | null | undefined, ...ids: number[]): Lane => ({
    key: 'l',
    name: 'L',
    empty: '',
    ...(personId === undefined ? {} : { personId }),
    cards: ids.map(id => card(id, personId ?? null)),
  })
  const order = (...ids: number[]) => ids.map(id => card(id, 1))
  it('in another person’s lane is that person’s, before the one it was put on', () =>
    expect(moveMeant(lane(2, 1, 2), [card(1, 2), card(9, 1), card(2, 2)])).toEqual({
      jobId: 9,
      personId: 2,
      beforeJobId: 2,
    }))
  it('at the end of nobody’s is nobody’s, with nothing after it', () =>
    expect(moveMeant(lane(null, 1), [card(1), card(9, 1)])).toEqual({ jobId: 9, personId: null, beforeJobId: null }))
  it('is not moved by the lane that it left', () => expect(moveMeant(lane(1, 1, 2, 3), order(1, 3))).toBeNull())
  it('where it was is not moved at all', () => expect(moveMeant(lane(1, 1, 2, 3), order(1, 2, 3))).toBeNull())
  it('by stage stays whose it was', () =>
    expect(moveMeant({ ...lane(undefined, 1, 2), cards: order(1, 2) }, order(2, 1))).toMatchObject({ personId: 1 }))
  it('anywhere in its own lane: the order that follows from the move is the order that was seen', () =>
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 7 }), fc.nat(6), fc.nat(6), (n, a, b) => {
        const [from, to] = [a % n, b % n]
        const ids = Array.from({ length: n }, (_, i) => i + 1)
        const seen = ids.toSpliced(from, 1).toSpliced(to, 0, ids[from]!)
        const move = moveMeant(lane(1, ...ids), order(...seen))
        if (from === to) {
          expect(move).toBeNull()
          return
        }
        const rest = ids.filter(id => id !== move!.jobId)
        const at = move!.beforeJobId === null ? rest.length : rest.indexOf(move!.beforeJobId)
        expect(rest.toSpliced(at, 0, move!.jobId)).toEqual(seen)
      }),
    ))
})
