import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import type { Engine } from '~~/core/engine'
import { headMap } from '~~/core/engine'
import { engineOf } from '~~/tests/support/builders'
import HeadsDrag from './HeadsDrag.vue'

const engine = engineOf()
const dragging = () => mount(HeadsDrag, { props: { engine } })
const told = (page: ReturnType<typeof dragging>) => page.emitted('valves')?.at(-1)?.[0] as Engine['valves'] | undefined
const placeOf = (valves: Engine['valves'], id: string) =>
  headMap({ ...engine, valves }).valves.find(v => v.valveId === id)!

describe('valves moved by keys', () => {
  it('an arrow moves the valve that has the focus, and no other', async () => {
    const page = dragging()
    const before = placeOf(engine.valves, 'intake')
    await page.find('button[aria-label^="Intake"]').trigger('keydown', { key: 'ArrowRight' })
    const after = placeOf(told(page)!, 'intake')
    expect(after.x - before.x).toBeGreaterThan(0)
    expect(after.y).toBe(before.y)
    expect(placeOf(told(page)!, 'exhaust')).toEqual(placeOf(engine.valves, 'exhaust'))
  })
  it('another key moves nothing', async () => {
    const page = dragging()
    await page.find('button[aria-label^="Intake"]').trigger('keydown', { key: 'Enter' })
    expect(told(page)).toBeUndefined()
  })
  it('what was moved can be had as it was drawn at first', async () => {
    const valves = engine.valves.map(v => ({ ...v, offset: { x: 30, y: 0 } }))
    const page = mount(HeadsDrag, { props: { engine: { ...engine, valves } } })
    await page.find('.note button').trigger('click')
    expect(told(page)).toEqual(engine.valves)
  })
})
