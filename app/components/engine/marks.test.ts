import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { CAM_PICTURES, type Engine, MARK_SHAPES } from '~~/core/engine'
import { engineOf } from '~~/tests/support/builders'
import CamSign from './CamSign.vue'
import MarkWindow from './MarkWindow.vue'
import WheelRim from './WheelRim.vue'

type Marks = Engine['marks']
const T: Marks[number] = { letter: 'T', angleDeg: 0, kind: 'top' }
const windowOf = (marks: Marks, markIndex = 0) =>
  mount(MarkWindow, { props: { engine: engineOf({ marks, makersStops: [] }), markIndex } })
const rimOf = (marks: Marks) =>
  mount(WheelRim, {
    props: { engine: engineOf({ marks, makersStops: [] }), cylinderId: 'only', compact: false },
    attachTo: document.createElementNS('http://www.w3.org/2000/svg', 'svg'),
  })

describe('a mark as it is made', () => {
  it.each(MARK_SHAPES)('a %s stands at the pointer of its window', shape => {
    const seen = windowOf([{ ...T, shape }])
    expect(seen.find('[data-letter="T"] .mark-shape').attributes('data-shape')).toBe(shape)
    // this engine turns counterclockwise, so that its rim moves left: the pointer is right, at 92 of 132
    expect(Number(seen.find('[data-letter="T"]').attributes('data-x'))).toBe(92)
  })
  it('a mark of which nobody told is a line; one of the advance is a pair of dashes without its letters', () => {
    const seen = windowOf([T, { letter: 'A', angleDeg: 355, kind: 'advance' }])
    expect(seen.findAll('.mark-shape').map(m => m.attributes('data-shape'))).toEqual(['line', 'dash pair'])
    expect(seen.find('[data-letter="A"]').text()).toBe('')
  })
  it('one with a name of its own is told by its shape: the words say what to look for', () => {
    const seen = windowOf([{ ...T, letter: 'white line', shape: 'painted line' }])
    expect(seen.find('[data-letter]').text()).toBe('')
    expect(seen.attributes('aria-label')).toBe('When right: the painted line called “white line” is at the pointer')
  })
  it('the wheel shows each on both of its turns', () => {
    const rim = rimOf([
      { ...T, shape: 'hole' },
      { letter: 'F', angleDeg: 350, kind: 'fire' },
    ])
    expect(rim.findAll('.mark.top circle')).toHaveLength(2)
    expect(rim.findAll('.mark.fire path')).toHaveLength(2)
  })
})

describe('the signs of sprockets', () => {
  it.each(CAM_PICTURES)('“%s” is drawn under its words', picture => {
    const sign = mount(CamSign, { props: { picture, label: 'as the manual says' } })
    expect(sign.attributes('aria-label')).toBe('as the manual says')
  })
  it('lines lie outward at the height of the head; dots that face each other lie inward', () => {
    const lines = mount(CamSign, { props: { picture: 'lines level', label: '' } })
    const ends = lines.findAll('path[stroke="var(--petrol)"]').map(p => p.attributes('d')!)
    expect(ends.map(d => / h (-?\d+)/.exec(d)![1])).toEqual(['-16', '16'])
    const dots = mount(CamSign, { props: { picture: 'dots face', label: '' } })
    const [left, right] = dots.findAll('circle[stroke="var(--petrol)"]').map(c => Number(c.attributes('cx')))
    // sprockets stand at 38 and 94
    expect([left! > 38, right! < 94, left! < right!]).toEqual([true, true, true])
  })
})
