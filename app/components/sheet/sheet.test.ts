import { readFileSync } from 'node:fs'
import { gunzipSync } from 'node:zlib'
import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { jobTools, type Sheet, viewJob } from '~~/core/job'
import { engineOf, pinOf } from '~~/tests/support/builders'
import { found, said, trial } from '~~/tests/support/job-book'
import { wholeJob } from '~~/tests/support/whole-job'
import { sheet } from '../../../tests/support/told'
import JobSheet from './JobSheet.vue'

const print = (
  content: ReturnType<typeof sheet>,
  signed: { at: string; by: string } | null = { at: '2026-11-25T14:40:00Z', by: 'Ada' },
) => mount(JobSheet, { props: { sheet: content, shop: 'Test shop', timeZone: 'Etc/UTC', signed } })

describe('the printed sheet', () => {
  it('tells each valve as found and as left, how it was proved, and the rounds between', async () => {
    const { view } = await wholeJob(engineOf(), { gapMm: { intake: 0.1, exhaust: 0.05 } })
    const page = print(sheet(view))
    const exhaust = page.find('.valve.exhaust').text()
    expect(exhaust).toMatch(/As found.*Tight/)
    expect(exhaust).toMatch(/As left.*In, by/)
    expect(page.text()).toContain('signed by Ada at 2:40 PM')
    expect(page.text()).toContain('Proofs, after two full turns')
    expect(page.text()).toMatch(/Exhaust 1\d+° back/)
  })
  it('draws what the gap of the worst valve did, and nothing where all were in', async () => {
    const { view } = await wholeJob(engineOf(), { gapMm: { intake: 0.1, exhaust: 0.05 } })
    const drawn = print(sheet(view)).find('.sheet-lift')
    expect(drawn.find('h2').text()).toBe('Exhaust: what its gap did')
    expect(drawn.findAll('path[stroke-dasharray]')).toHaveLength(2)
    expect(drawn.text()).toMatch(/Found at 0\.05\d* mm instead of .*early.*late/)
    const { view: allIn } = await wholeJob(engineOf())
    expect(print(sheet(allIn)).find('.sheet-lift').exists()).toBe(false)
  })
  it('draws as found open and as left solid, on one scale', async () => {
    const { view } = await wholeJob(engineOf())
    const bars = print(sheet(view)).find('.valve.intake .sheet-rule').findAll('rect')
    expect(bars.map(b => b.attributes('fill'))).toEqual(['#fff', '#E4E4E4', '#fff', '#111'])
    // one gap, read twice: whichever blades were used, the two overlap
    const [found, left] = bars.slice(2).map(b => [Number(b.attributes('x')), Number(b.attributes('width'))] as const)
    expect(found![0]).toBeLessThan(left![0] + left![1])
    expect(left![0]).toBeLessThan(found![0] + found![1])
  })
  it('an unsigned, empty job claims nothing', () => {
    const page = print(sheet(viewJob(jobTools(pinOf()), [], 0)), null).text()
    for (const words of [
      'not signed',
      'not measured',
      'not proved',
      'nothing on record',
      'not ticked',
      'not run',
      'not recorded',
    ])
      expect(page).toContain(words)
    expect(page).not.toContain('☑')
  })
  it('says how other tasks of the visit stand, and one date to come back', () => {
    const page = mount(JobSheet, {
      props: {
        sheet: sheet(viewJob(jobTools(pinOf()), [], 0)),
        shop: 'Test shop',
        timeZone: 'Etc/UTC',
        signed: null,
        tasks: [{ name: 'Oil change', words: 'to do, after the valves' }],
      },
    }).text()
    expect(page).toContain('Oil change: to do, after the valves.')
    expect(page.match(/due/gi)).toHaveLength(1)
  })
  it('prints what version 0.6 signed', () => {
    const stored = gunzipSync(readFileSync('tests/support/earlier/demo-0.6.json.gz')).toString()
    const sheets = (JSON.parse(stored) as { jobs: { sheet: Sheet | null }[] }).jobs.flatMap(j => j.sheet ?? [])
    expect(sheets.length).toBeGreaterThan(3)
    for (const old of sheets) expect(print(old).text()).toContain(`Next due: ${old.nextDue}`)
  })
  it('shows corrections as corrections, and never as proof', () => {
    const book = found(said()).say(
      trial('intake', 0.12, 'free'),
      trial('intake', 0.12, 'pinched'),
      trial('exhaust', 0.15, 'free'),
    )
    const wrong = book.view().state.valves[1]!.readings[0]!.trials[0]!.id
    book.say({ type: 'retracted', payload: { eventId: wrong, how: 'recorded wrongly' } })
    const content = sheet(book.view())
    expect(content.corrections).toEqual([
      'Intake, as found: 0.12 free at first, pinched when tried again.',
      'Exhaust: 0.15 free: entered by mistake, undone by Ada.',
    ])
    expect(content.valves.map(v => v.asFound?.trials ?? [])).toEqual([[{ blades: '0.12', feel: 'pinched' }], []])
    expect(print(content).text()).toContain('0.12 free at first, pinched when tried again.')
  })
  it('keeps a correction that was made while the screw was being turned', () => {
    const content = sheet(
      found(said())
        .say(
          trial('exhaust', 0.06, 'drag'),
          { type: 'nut-loosened', payload: { valveId: 'exhaust', slotDeg: null } },
          trial('exhaust', 0.12, 'free', { kind: 'screw', deg: -40 }),
          trial('exhaust', 0.12, 'no-go'),
          trial('exhaust', 0.12, 'drag', { kind: 'screw', deg: -10 }),
        )
        .view(),
    )
    expect(content.corrections).toEqual(['Exhaust, before lock: 0.12 free at first, no-go when tried again.'])
  })
  it('defers to the manual and a qualified technician', () =>
    expect(print(sheet(viewJob(jobTools(pinOf()), [], 0))).text()).toContain('If unsure, ask a qualified technician.'))
  it('a draft spec is called one', () => {
    const pin = pinOf(engineOf(), { spec: { revisionId: 1, revision: 3, status: 'draft', engine: engineOf() } })
    expect(print(sheet(viewJob(jobTools(pin), [], 0))).text()).toContain('revision 3, a draft')
  })
})
