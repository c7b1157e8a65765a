import { mount } from '@vue/test-utils'
import { describe, expect, it, vi } from 'vitest'
import { defineComponent, h, nextTick, ref } from 'vue'
import { useFrameBehind } from './useFrameBehind'
import { useKeys } from './useKeys'
import { useSmoothAngle } from './useSmoothAngle'

/** Runs a composable inside a component, and gives what it returned. */
function inside<T>(setup: () => T): { value: T; unmount: () => void } {
  let value!: T
  const wrapper = mount(
    defineComponent({
      setup() {
        value = setup()
        return () => h('div')
      },
    }),
  )
  return { value, unmount: () => wrapper.unmount() }
}

describe('pictures follow a frame behind the words', () => {
  it('the first at once, then the last of several', async () => {
    const source = ref<number | null>(null)
    const { value: behind, unmount } = inside(() => useFrameBehind(() => source.value))
    source.value = 1
    await nextTick()
    expect(behind.value).toBe(1)
    source.value = 2
    await nextTick()
    source.value = 3
    await nextTick()
    expect(behind.value).toBe(1)
    await vi.waitFor(() => expect(behind.value).toBe(3))
    unmount()
  })
})

describe('single keys', () => {
  const press = (key: string, target: EventTarget = window, more: KeyboardEventInit = {}) =>
    target.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, ...more }))
  it('answer, but rest while somebody types, and leave the browser’s own alone', () => {
    const heard: string[] = []
    const { unmount } = inside(() => useKeys({ u: () => heard.push('u'), 1: () => heard.push('1') }))
    const field = document.body.appendChild(document.createElement('input'))
    press('u')
    press('1')
    press('u', field)
    press('u', window, { ctrlKey: true })
    press('U')
    expect(heard).toEqual(['u', '1', 'u'])
    unmount()
    press('u')
    expect(heard).toHaveLength(3)
    field.remove()
  })
  it('a key held down a moment too long answers no second question, but moves a choice on', () => {
    const heard: string[] = []
    const { unmount } = inside(() =>
      useKeys({ '1': () => heard.push('1'), 'ArrowRight': () => heard.push('right'), ']': () => heard.push(']') }),
    )
    for (const key of ['1', 'ArrowRight', ']']) for (const repeat of [false, true]) press(key, window, { repeat })
    expect(heard).toEqual(['1', 'right', 'right', ']', ']'])
    unmount()
  })
  it('can be switched off, but for the way back', async () => {
    localStorage.setItem('wembric-shortcuts', 'false')
    const heard: string[] = []
    const { unmount } = inside(() => useKeys({ u: () => heard.push('u'), Escape: () => heard.push('back') }))
    press('u')
    press('Escape')
    expect(heard).toEqual(['back'])
    unmount()
    localStorage.removeItem('wembric-shortcuts')
  })
})

describe('the hand on the wheel', () => {
  it('stands in [0, 720), wherever it is sent', async () => {
    const target = ref(700)
    const { value: shown, unmount } = inside(() => useSmoothAngle(target))
    expect(shown.value).toBe(700)
    target.value = 20
    await nextTick()
    for (let i = 0; i < 5; i++) {
      await new Promise(resolve => setTimeout(resolve, 40))
      // on from 700 through 720 to 20, never back through 360
      expect(shown.value >= 699.9 || shown.value <= 20.1).toBe(true)
    }
    unmount()
  })
})
