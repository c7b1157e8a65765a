import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { LogBook } from '../../tests/support/builders'
import type { Happening, JobEvent } from './index'
import { hadSeen, inWorkingOrder, workingOrder } from './order'

const toT: Happening = {
  type: 'crank',
  payload: { observations: [{ kind: 'move', to: { kind: 'mark', markIndex: 0 } }] },
}
const feel: Happening = {
  type: 'crank',
  payload: { observations: [{ kind: 'rocker', valveId: 'intake', slack: true }] },
}

/**
 * One thing said at a page of a browser: who said it, and what of the browser's store the page had read at its opening.
 */
interface Said {
  page: string
  personId: number
  deviceSeq: number
  seenDeviceSeq: number
  moves: boolean
}
const eventOf = ({ page, personId, deviceSeq, seenDeviceSeq, moves }: Said, seq: number | null): JobEvent => {
  const book = new LogBook()
  const event = book.add(moves ? toT : feel, { deviceId: `d-1.${page}`, personId, seenSeq: 0 })
  return { ...event, id: `e-${deviceSeq}`, deviceSeq, seenDeviceSeq, seq }
}

describe('what an answer had seen', () => {
  const at = (deviceId: string, deviceSeq: number, more: Partial<JobEvent> = {}) =>
    ({ ...new LogBook().add(feel), deviceId, deviceSeq, seq: null, seenSeq: 0, ...more }) as JobEvent
  it.each<[string, JobEvent, JobEvent, boolean]>([
    ['what the shop’s log held', at('d-2.a', 9, { seenSeq: 4 }), at('d-1.a', 1, { seq: 4 }), true],
    ['not what came into it after', at('d-2.a', 9, { seenSeq: 4 }), at('d-1.a', 1, { seq: 5 }), false],
    ['what the same page said before', at('d-1.a', 9), at('d-1.a', 8), true],
    ['not what it said after', at('d-1.a', 9), at('d-1.a', 10), false],
    ['what the store held when the page opened', at('d-1.b', 9, { seenDeviceSeq: 8 }), at('d-1.a', 8), true],
    ['not what another page said since', at('d-1.b', 10, { seenDeviceSeq: 8 }), at('d-1.a', 9), false],
    ['nothing unsent of another browser', at('d-2.b', 9, { seenDeviceSeq: 8 }), at('d-1.a', 8), false],
    ['nothing of other pages in events of earlier versions', at('d-1.b', 9), at('d-1.a', 8), false],
  ])('%s', (_, event, earlier, seen) => expect(hadSeen(event, earlier)).toBe(seen))
})

describe('the order of the work', () => {
  it('a tab closed offline and opened again has seen what its browser held: nothing is asked', () => {
    const said: Said[] = [
      { page: 'a', personId: 1, deviceSeq: 1, seenDeviceSeq: 0, moves: true },
      { page: 'a', personId: 1, deviceSeq: 2, seenDeviceSeq: 0, moves: false },
      { page: 'b', personId: 1, deviceSeq: 3, seenDeviceSeq: 2, moves: false },
      { page: 'b', personId: 1, deviceSeq: 4, seenDeviceSeq: 2, moves: true },
    ]
    const waiting = workingOrder(said.map(s => eventOf(s, null)))
    const sent = workingOrder(said.map((s, i) => eventOf(s, i + 1)))
    for (const order of [waiting, sent]) {
      expect(order.unplaced).toEqual([])
      expect(order.steps.map(s => s.event.deviceSeq)).toEqual([1, 2, 3, 4])
    }
  })

  it('whoever’s session ends and whichever page is opened anew, the work of one browser keeps its order however it arrives', () => {
    const step = fc.record({
      person: fc.integer({ min: 1, max: 3 }),
      reopens: fc.boolean(),
      moves: fc.boolean(),
    })
    fc.assert(
      fc.property(fc.array(step, { minLength: 2, maxLength: 25 }), fc.shuffledSubarray([1, 2, 3]), (steps, turns) => {
        let page = 0
        let seen = 0
        const said = steps.map(({ person, reopens, moves }, i): Said => {
          if (reopens) {
            page++
            seen = i
          }
          return { page: `p${page}`, personId: person, deviceSeq: i + 1, seenDeviceSeq: seen, moves }
        })
        // each person's answers arrive in their order, but a person may be away while others send; who is not in turns
        // waits
        const sent = turns.flatMap(person => said.filter(s => s.personId === person))
        const waiting = said.filter(s => !turns.includes(s.personId))
        const log = [...sent.map((s, i) => eventOf(s, i + 1)), ...waiting.map(s => eventOf(s, null))]
        const { steps: worked, unplaced } = workingOrder(log)
        expect(worked.map(w => w.event.deviceSeq)).toEqual(said.map(s => s.deviceSeq))
        expect(unplaced).toEqual([])
      }),
      { seed: 13, numRuns: 300 },
    )
  })

  it('two pages open at once: what one felt without having seen the other’s move is asked about, before and after it is sent', () => {
    const said: Said[] = [
      { page: 'a', personId: 1, deviceSeq: 1, seenDeviceSeq: 0, moves: true },
      { page: 'b', personId: 1, deviceSeq: 2, seenDeviceSeq: 0, moves: false },
    ]
    for (const numbered of [said.map(s => eventOf(s, null)), said.map((s, i) => eventOf(s, i + 1))])
      expect(workingOrder(numbered).unplaced.map(e => e.deviceSeq)).toEqual([2])
  })

  it('another device that saw the late answers only after it had answered is asked', () => {
    // Bo's answers (2, 3) arrive first, then device 2 feels, then Ada's move (1), which Bo had seen and device 2 had
    // not
    const ada = eventOf({ page: 'a', personId: 1, deviceSeq: 1, seenDeviceSeq: 0, moves: true }, 4)
    const bo = [2, 3].map(n => eventOf({ page: 'a', personId: 2, deviceSeq: n, seenDeviceSeq: 0, moves: false }, n - 1))
    const other = { ...new LogBook().add(feel, { deviceId: 'd-2.x', seenSeq: 2 }), id: 'o', seq: 3 } as JobEvent
    const { steps, unplaced } = workingOrder([...bo, other, ada])
    expect(steps.map(s => s.event.deviceSeq)).toEqual([1, 2, 3])
    expect(unplaced.map(e => e.id)).toEqual(['o'])
  })

  it('logs of earlier versions keep the shop’s order', () => {
    const devices = fc.array(fc.constantFrom('t-1', 't-2', 't-3'), { minLength: 1, maxLength: 20 })
    fc.assert(
      fc.property(devices, ids => {
        const book = new LogBook()
        for (const deviceId of ids) book.add(feel, { deviceId })
        expect(inWorkingOrder(book.events).map(e => e.seq)).toEqual(book.events.map(e => e.seq))
      }),
      { seed: 13 },
    )
  })
})
