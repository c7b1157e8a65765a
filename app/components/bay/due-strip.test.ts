import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import type { DueItem, DueResponse } from '~~/shared/machines'
import DueStrip from './DueStrip.vue'

const item = (n: number, day: string, changes: Partial<DueItem> = {}): DueItem =>
  ({
    ...{ machineId: n, name: `Mower ${n}`, tag: `M-${n}`, customerId: 1, owner: 'O', email: '', meterUnit: 'h' },
    ...{ dueAt: `${day}T00:00:00Z`, day, days: 'in 3 days', over: false, week: day, cause: 'By date', when: '' },
    ...{ why: '', reason: { use: null }, openJobId: null, toldAt: null, ...changes },
  }) as DueItem
const strip = (items: DueItem[], changes: Partial<DueResponse> = {}) =>
  mount(DueStrip, {
    props: { due: { items, today: '2026-06-01', more: 0, working: false, ...changes } as DueResponse },
  })

describe('what falls due', () => {
  it('says the day of one that goes by date, and about it where it goes by use', () => {
    const page = strip([item(1, '2026-06-05'), item(2, '2026-06-20', { reason: { use: 120 } as DueItem['reason'] })])
    expect(page.text()).toContain('Jun 5')
    expect(page.text()).toMatch(/about Jun 20/i)
  })
  it('one that is over says for how long, and stands left of today', () => {
    const page = strip([item(1, '2026-05-20', { over: true, days: '12 days over' })])
    expect(page.text()).toContain('12 days over')
    const today = Number(/M ([\d.]+) 0 V 40/.exec(page.html())![1])
    expect(Number(page.get('circle').attributes('cx'))).toBeLessThan(today)
  })
  it('leaves out what is on the bench already', () => {
    const page = strip([item(1, '2026-06-05', { openJobId: 9 }), item(2, '2026-06-06')])
    expect(page.findAll('li')).toHaveLength(1)
    expect(page.text()).not.toContain('Mower 1')
  })
  it('twenty on one day do not lie over each other: what has no room is counted, and is a link away', () => {
    const page = strip(Array.from({ length: 20 }, (_, n) => item(n + 1, '2026-06-05')))
    const lefts = page.findAll('li').map(li => Number(/left: ([\d.]+)%/.exec(li.attributes('style')!)![1]))
    for (const [i, left] of lefts.slice(1).entries()) expect(left - lefts[i]!).toBeGreaterThan(14)
    expect(lefts.at(-1)! + 14).toBeLessThanOrEqual(101)
    expect(page.get('header a').text()).toContain(String(20 - lefts.length))
  })
  it('every week’s name ends before the rule does', () => {
    for (const n of [1, 2, 3, 4, 5, 6, 7]) {
      const names = strip([item(1, '2026-06-05')], { today: `2026-06-0${n}` }).findAll('text')
      expect(names.length).toBeGreaterThan(4)
      for (const name of names.slice(1)) expect(Number(name.attributes('x'))).toBeLessThan(1240 - 45)
    }
  })
  it('says that it is still being worked out, and that nothing is due', () => {
    expect(strip([], { working: true }).get('[role="status"]').text()).not.toBe('')
    expect(strip([]).find('svg').exists()).toBe(false)
  })
})
