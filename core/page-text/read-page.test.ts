import { describe, expect, it } from 'vitest'
import { manualPages } from '../../evaluation/manual-pages'
import { measure } from '../../evaluation/manual-pages/measure'
import { tellEnglish } from '../../words'
import { readPage, readSeenPage } from './index'

/** What is read, by field, a doubt marked by “?”. */
const read = (text: string): Record<string, string> => {
  const all: Record<string, string> = {}
  for (const f of readPage(text).findings)
    all[f.field] = [all[f.field], `${f.text}${f.doubts.length ? ' ?' : ''}`].filter(Boolean).join(' / ')
  return all
}

describe('pages of manuals, invented by a generator', () => {
  // layouts and hands were drawn up before the reader; a third of them was kept apart until it stood
  it.each([
    ['60 of the layouts that the reader was written by', 60, false],
    ['60 of the layouts that were kept apart', 60, true],
    ['600 more of those', 600, true],
  ] as const)('%s: at least 98 of 100 figures right, none wrong without a doubt', (_, count, apart) => {
    const { all, right, wrong } = measure(manualPages(count, apart))
    expect(wrong).toEqual([])
    expect(right / all).toBeGreaterThanOrEqual(0.98)
  })
})

describe('pages written by hand, in ways that the generator has not', () => {
  it.each([
    [
      'Valve clearance (cold): IN 0.05 mm, EX 0.10 mm. Adjuster locknut 9 N·m.',
      { intake: '0.05 mm', exhaust: '0.10 mm', locknut: '9 N·m' },
    ],
    ['Clearance: 0.10mm IN, 0.15mm EX', { intake: '0.10 mm', exhaust: '0.15 mm' }],
    ['Set valve lash cold: .004" intake, .006" exhaust.', { intake: '.004 in', exhaust: '.006 in' }],
    ['Valve clearance IN/EX: 0.10/0.15 mm', { intake: '0.10 mm', exhaust: '0.15 mm' }],
    [
      'Intake valve clearance 0.15mm±0.02mm\nExhaust valve clearance 0.20mm±0.02mm',
      { intake: '0.15 ± 0.02 mm', exhaust: '0.20 ± 0.02 mm' },
    ],
    ['Taqués en frío: adm. 0,10 mm; esc. 0,15 mm', { intake: '0,10 mm', exhaust: '0,15 mm' }],
    ['Cylinder head cover bolts 10 N·m (1.0 kgf·m, 7 lbf·ft); spark plug 18 N·m', { cover: '10 N·m', plug: '18 N·m' }],
    ['Check valve clearance after the first 20 hours and every 100 hours or yearly.', { firstUse: '20', use: '100' }],
    [
      'Valve Adjustment\nIntake: 0.08 - 0.12 mm (0.003 - 0.005 in)\nExhaust: 0.13 - 0.17 mm (0.005 - 0.007 in)',
      { intake: '0.08–0.12 mm', exhaust: '0.13–0.17 mm' },
    ],
    ['Both valves 0.006 in with the engine cold', { intake: '0.006 in', exhaust: '0.006 in' }],
    [
      'Rocker cover screws: tighten crosswise to 85 in-lb. Bore 2.56 in, stroke 2 1/4 in.',
      { cover: '85 lbf·in', bore: '2.56 in', stroke: '2 1/4 in' },
    ],
    ['VALVE TAPPET CLEARANCE  0.10 mm (intake and exhaust)', { intake: '0.10 mm', exhaust: '0.10 mm' }],
    [
      'Turn the adjusting screw clockwise to close the gap. Turn the crankshaft counter-clockwise.',
      { direction: 'anticlockwise' },
    ],
  ] as const)('%s', (text, wanted) => expect(read(text)).toMatchObject(wanted))
})

describe('what is doubtful is said', () => {
  it('two figures for one field, as a page with two models has', () => {
    const { findings } = readPage(
      'Model A\nIntake valve: 0.10 mm\nExhaust valve: 0.15 mm\nModel B\nIntake valve: 0.12 mm\nExhaust valve: 0.15 mm',
    )
    const intakes = findings.filter(f => f.field === 'intake')
    expect(intakes.map(f => f.text)).toEqual(['0.10 mm', '0.12 mm'])
    expect(tellEnglish(intakes[0]!.doubts[0]!)).toMatch(/also says 0\.12 mm\. It may describe two models/)
    expect(findings.filter(f => f.field === 'exhaust')).toHaveLength(1)
  })
  it('letters where digits were, as a camera reads them', () =>
    expect(read('Valve clearance IN O.1O mm EX 0.l5 mm')).toEqual({ intake: '0.10 mm ?', exhaust: '0.15 mm ?' }))
  it('two units that are not the same figure', () => {
    const [finding] = readPage('Intake valve clearance 0.10 mm (0.008 in)').findings
    expect(tellEnglish(finding!.doubts[0]!)).toMatch(/0\.10 mm and 0\.008 in are not the same/)
  })
  it('a clearance that names no valve', () =>
    expect(read('Valve clearance: 0.10 mm')).toEqual({ intake: '0.10 mm ?', exhaust: '0.10 mm ?' }))
  it('figures in a table without a unit', () =>
    expect(read('Valve clearance\nIntake\tExhaust\n0.10\t0.15')).toEqual({ intake: '0.10 mm ?', exhaust: '0.15 mm ?' }))
})

describe('what is none of the fields’ is left', () => {
  it.each([
    'Two eggs, 250 g of flour, 0.5 L of milk. Bake for 40 minutes at 180 °C.',
    'Valve stem-to-guide clearance, intake 0.03 mm, exhaust 0.05 mm. Valve spring 38.5 mm.',
    'Oil drain plug 24 N·m. Cylinder head nuts 29 N·m. Replace engine oil every 2,000 km.',
    'Piston ring end gap 0.15 mm. Camshaft lobe height, intake 32.5 mm.',
    '',
  ])('%s', text => expect(read(text)).toEqual({}))
  it('each finding is where it says it is', () => {
    const page = manualPages(5, false)[2]!.text
    for (const { start, end } of readPage(page).findings) expect(page.slice(start, end).trim()).not.toBe('')
  })
})

describe('a page as a camera sees it', () => {
  /** Words in lines of a picture, all as sure as said. */
  const seen = (lines: string[], sure = 92, odd: Record<string, number> = {}) =>
    lines.flatMap((text, line) =>
      text.split(' ').map((word, n) => ({
        text: word,
        line,
        sure: odd[word] ?? sure,
        box: { x0: 100 + n * 90, y0: 100 + line * 50, x1: 180 + n * 90, y1: 130 + line * 50 },
      })),
    )
  const PAGE = ['Valve clearance (cold)', 'Intake: 0.08-0.12 mm', 'Exhaust: 0.13-0.17 mm', 'Lock nut: 12 Ibf-ft']
  it('is read, each figure with its piece of the picture', () => {
    const page = readSeenPage(seen(PAGE))!
    expect(page.findings.map(f => [f.field, f.text])).toEqual([
      ['intake', '0.08–0.12 mm'],
      ['exhaust', '0.13–0.17 mm'],
      ['locknut', '12 lbf·ft'],
    ])
    expect(page.findings[0]).toMatchObject({ box: { x0: 190, y0: 150, x1: 360, y1: 180 }, doubts: [] })
  })
  it('a figure that was hard to make out says so', () => {
    const [intake, exhaust] = readSeenPage(seen(PAGE, 92, { '0.13-0.17': 61 }))!.findings
    expect(intake!.doubts).toEqual([])
    expect(tellEnglish(exhaust!.doubts[0]!)).toMatch(/hard to make out/)
  })
  it.each([
    ['a lawn', seen([])],
    ['a blur', seen(PAGE, 45)],
    ['a label', seen(['Made with care'])],
  ])('%s is no page', (_, words) => expect(readSeenPage(words)).toBeNull())
})
