import { describe, expect, it } from 'vitest'
import { engineOf, pinOf } from '../../tests/support/builders'
import { ready, said } from '../../tests/support/job-book'
import { tellEnglish } from '../../words'
import { plainPart } from '../access'
import { type GapOnRecord, plugGapOf, plugsAfter, servedWords } from './plugs'
import { sheet } from './sheet'

const gap = (plugGap: string): GapOnRecord | null => plugGapOf({ plugGap })

describe('a plug’s gap as the spec prints it', () => {
  it.each([
    ['0.7 mm', 0.7, 0.7, 0.7],
    ['0,7', 0.7, 0.7, 0.7],
    ['0.7–0.8 mm', 0.7, 0.8, 0.75],
    ['0.8-0.7 mm', 0.7, 0.8, 0.75],
    ['0.75 ± 0.05 mm', 0.7, 0.8, 0.75],
    // 0.030 in is 0.762 mm: 25.4 mm to the inch, NIST SP 811
    ['.030 in', 0.762, 0.762, 0.762],
  ])('%s', (text, minMm, maxMm, setMm) => {
    const read = gap(text)!
    expect([read.minMm, read.maxMm, read.setMm].map(mm => Number(mm.toFixed(3)))).toEqual([minMm, maxMm, setMm])
  })
  it.each(['', 'see the plate', '–'])('“%s” is none, and nobody is asked', text => expect(gap(text)).toBeNull())
})

const four = engineOf({
  stripDown: [],
  plugGap: '0.7–0.8 mm',
  plugLife: { use: 6000, months: 24 },
  parts: [1, 2, 3, 4].map(n => ({ ...plainPart(`Plug ${n}`, 'spark plug'), torqueNm: 12 })),
})
const opened = (changes = {}) => {
  const book = ready(said(four, { ...changes }), ['Plug 1', 'Plug 2', 'Plug 3', 'Plug 4'])
  return book
}

describe('plugs of several cylinders', () => {
  it('those that look alike, and whose gaps are right, are answered by one key each', () => {
    const book = said(four)
    for (const name of ['machine', 'spec'] as const) book.say({ type: 'confirmed', payload: { item: name } })
    book.say({ type: 'rested', payload: { hours: 9 } }, { type: 'confirmed', payload: { item: 'safe' } })
    for (const { name } of four.parts!) book.say({ type: 'came-off', payload: { item: name } })
    expect(book.next().instruction).toMatch(/Plug 1/)
    book.say({ type: 'plug-read', payload: { look: 'Black or wet', item: 'Plug 1' } })
    const alike = book.next().keys.at(-1)!
    expect(alike.title).toBe('All 3 gray to brown')
    book.say(alike.happening!)
    expect(book.next().instruction).toBe('Plug 1: is the gap 0.7–0.8 mm?')
    book.say({ type: 'plug-gap', payload: { item: 'Plug 1', was: 'new', leftMm: 0.75 } })
    expect(book.next().keys.at(-1)!.title).toBe('All 3 right')
    book.say(book.next().keys.at(-1)!.happening!)
    expect(book.next().requirement!.id).toBe('valves')
    expect(sheet(book.view(), tellEnglish).plug).toMatch(
      /^Plug 1: Black or wet; gap new plug, 0.75 mm; Plug 2, Plug 3, Plug 4: Gray to brown; gap right$/,
    )
    const { pin, state } = book.view()
    expect(plugsAfter(pin, state)).toEqual({ 'Plug 1': { date: pin.openedAt.slice(0, 10), use: pin.machine.meter } })
  })
  it('one that nobody looked at is not asked its gap', () => {
    const book = opened()
    book.say({
      type: 'plug-read',
      payload: { look: 'Not looked at', item: 'Plug 1', also: ['Plug 2', 'Plug 3', 'Plug 4'] },
    })
    expect(book.next().requirement!.id).not.toMatch(/plug/)
  })
})

describe('how long a plug has served', () => {
  const served = (use: number | null, date: string, meter: number | null = 7000) =>
    tellEnglish(
      servedWords(
        pinOf(four, {
          openedAt: '2026-05-10T08:00:00.000Z',
          machine: { ...pinOf().machine, meterUnit: 'km', meter },
          plugsNew: { 'Plug 1': { date, use } },
        }),
        'Plug 1',
      ),
    )
  it('by the meter, and against its service life', () =>
    expect(served(3000, '2025-06-01')).toBe('New on 2025-06-01, 4,000 km ago. Service life 6,000 km or 24 months.'))
  it('over by the meter, over by the months, and not a day before', () => {
    expect(served(1000, '2026-01-01')).toMatch(/it is over, put a new one in/)
    expect(served(6900, '2024-05-10')).toMatch(/it is over/)
    expect(served(6900, '2024-05-11')).not.toMatch(/over/)
  })
  it('by months where the meter was not read', () =>
    expect(served(null, '2025-11-10')).toBe('New on 2025-11-10, 6 months ago. Service life 6,000 km or 24 months.'))
  it('nothing on record is said, not guessed', () =>
    expect(tellEnglish(servedWords(pinOf(four), 'Plug 2'))).toMatch(/nothing on record/))
})
