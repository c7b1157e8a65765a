import { afterEach, expect, it } from 'vitest'
import { nextTick, ref } from 'vue'
import { within } from '../../tests/support/screens'
import { useFocusIntoPanel } from './useFocusIntoPanel'

/** A page as the Bench has it: a key that opens a panel, and what stands in the panel’s place. */
function bench() {
  document.body.innerHTML = `
    <aside><h1 data-testid="instruction">Try 0.10</h1><button id="more">More</button></aside>`
  const aside = document.querySelector('aside')!
  const kind = ref('keys')
  within(() =>
    useFocusIntoPanel(
      () => kind.value,
      () => aside,
    ),
  )
  const settled = async () => {
    for (let i = 0; i < 4; i++) await nextTick()
  }
  return { aside, kind, settled, focused: () => document.activeElement?.id || document.activeElement?.tagName }
}
afterEach(() => {
  document.body.innerHTML = ''
})

it('goes into a panel that opens, and back to where it came from', async () => {
  const { aside, kind, settled, focused } = bench()
  const more = document.querySelector<HTMLElement>('#more')!
  more.focus()
  kind.value = 'more'
  await nextTick()
  // the panel stands first, and takes what is under it out of reach
  aside.insertAdjacentHTML('afterbegin', '<div class="side"><button id="back">Back</button></div>')
  more.blur()
  await settled()
  expect(focused()).toBe('back')
  document.querySelector('.side')!.remove()
  kind.value = 'keys'
  await settled()
  expect(focused()).toBe('more')
})

it('goes to the instruction where what opened the panel is gone', async () => {
  const { kind, settled, focused } = bench()
  document.querySelector<HTMLElement>('#more')!.focus()
  kind.value = 'ask'
  await settled()
  document.querySelector('#more')!.remove()
  kind.value = 'keys'
  await settled()
  expect(focused()).toBe('H1')
})

it('leaves a field alone that has taken the focus by itself', async () => {
  const { aside, kind, settled, focused } = bench()
  aside.insertAdjacentHTML('beforeend', '<input id="own">')
  document.querySelector<HTMLElement>('#own')!.focus()
  kind.value = 'ask'
  await settled()
  expect(focused()).toBe('own')
})
