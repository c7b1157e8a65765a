import { mount } from '@vue/test-utils'
import { beforeEach, expect, it, vi } from 'vitest'
import { defineComponent, h, nextTick } from 'vue'
import { useKeys, useShortcutsOn } from './useKeys'

const pressed = vi.fn()
function page() {
  return mount(
    defineComponent({
      setup() {
        const on = useShortcutsOn()
        useKeys({
          '1': () => pressed('1'),
          'g': () => pressed('g'),
          '[': () => pressed('['),
          'Escape': () => pressed('Escape'),
          'Enter': () => pressed('Enter'),
          'x': () => false,
        })
        return () =>
          h('div', [h('input'), h('button', 'b'), h('i', { onClick: () => (on.value = !on.value), id: 'switch' })])
      },
    }),
    { attachTo: document.body },
  )
}
const press = (key: string, more: KeyboardEventInit = {}, at: EventTarget = document.body) => {
  const event = new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...more })
  at.dispatchEvent(event)
  return event
}
beforeEach(() => {
  pressed.mockReset()
  localStorage.clear()
})

it('answers letters of either case, and leaves alone what is not its own', () => {
  const made = page()
  press('1')
  press('G')
  expect(press('q').defaultPrevented).toBe(false)
  expect(press('x').defaultPrevented).toBe(false)
  expect(press('1').defaultPrevented).toBe(true)
  expect(pressed.mock.calls.flat()).toEqual(['1', 'g', '1'])
  made.unmount()
  press('1')
  expect(pressed).toHaveBeenCalledTimes(3)
})

it('rests while somebody types, with a modifier, and on a button’s own Enter', () => {
  const made = page()
  press('1', {}, made.find('input').element)
  press('1', { ctrlKey: true })
  press('1', { metaKey: true })
  press('Enter', {}, made.find('button').element)
  expect(pressed).not.toHaveBeenCalled()
  press('Enter')
  expect(pressed).toHaveBeenCalledTimes(1)
  made.unmount()
})

it('a key that is held down answers one question; a turn goes on while it is held', () => {
  const made = page()
  press('1')
  press('1', { repeat: true })
  press('[', { repeat: true })
  press('[', { repeat: true })
  expect(pressed.mock.calls.flat()).toEqual(['1', '[', '['])
  made.unmount()
})

it('switched off, only Escape is left', async () => {
  const made = page()
  await made.find('#switch').trigger('click')
  await nextTick()
  press('1')
  press('Escape')
  expect(pressed.mock.calls.flat()).toEqual(['Escape'])
  made.unmount()
})
