import { mount } from '@vue/test-utils'
import { describe, expect, it, vi } from 'vitest'
import { computed, defineComponent, h, nextTick, ref } from 'vue'
import type { AnswerKey, NextThing } from '~~/core/job'
import { say } from '~~/core/said'
import { tell } from '../words'
import type { OtherHand, useBench } from './useBench'
import { useBenchKeys } from './useBenchKeys'
import type { BenchScreen } from './useBenchScreen'
import { useHandOver } from './useHandOver'

const TAM: OtherHand = { personName: 'Tam', minutes: 3 }
function held(by: OtherHand | null = TAM) {
  const otherHand = ref<OtherHand | null>(by)
  const answer = vi.fn()
  const next = ref({ instruction: say('off.cover') } as unknown as NextThing)
  const bench = { otherHand, answer, next } as unknown as ReturnType<typeof useBench>
  return { otherHand, answer, next, bench, hand: useHandOver(bench) }
}
const titles = ({ hand }: ReturnType<typeof held>) => hand.asked.value?.keys.map(k => tell(k.title))

describe('a job in somebody else’s hand', () => {
  it('asks first: look on, or take it over; nothing where it is in nobody’s', () => {
    const page = held()
    expect(page.hand.asked.value).toMatchObject({ instruction: 'Tam has this job', label: 'Last answer 3 min ago' })
    expect(titles(page)).toEqual(['Look on', 'Take over'])
    expect(held(null).hand.asked.value).toBeNull()
  })
  it('to look on shows what is asked there and answers nothing', async () => {
    const page = held()
    await page.hand.press(0)
    expect(tell(page.hand.asked.value!.instruction)).toBe('Remove the valve cover')
    expect(titles(page)).toEqual(['Take over'])
    expect(page.answer).not.toHaveBeenCalled()
  })
  it('to take over is an answer of its own, by either way', async () => {
    for (const looksOn of [false, true]) {
      const page = held()
      if (looksOn) await page.hand.press(0)
      await page.hand.press(looksOn ? 0 : 1)
      expect(page.answer.mock.calls).toEqual([[{ type: 'taken-over', payload: {} }]])
    }
  })
  it('in a third hand since, it is asked anew', async () => {
    const page = held()
    await page.hand.press(0)
    page.otherHand.value = { personName: 'Jory', minutes: 0 }
    await nextTick()
    expect(page.hand.asked.value).toMatchObject({ instruction: 'Jory has this job', label: 'Last answer just now' })
  })
  it('another minute of the same hand changes nothing for who looks on', async () => {
    const page = held()
    await page.hand.press(0)
    page.otherHand.value = { ...TAM, minutes: 4 }
    await nextTick()
    expect(titles(page)).toEqual(['Take over'])
  })
})

describe('Enter at the Bench', () => {
  const confirming = { happening: { type: 'confirmed', payload: { item: 'safe' } } } as unknown as AnswerKey
  /** A Bench on which Enter would confirm. @returns which keys it pressed */
  function enter(changes: object = {}) {
    const press = vi.fn()
    const screen = {
      ...{ press, panel: ref({ kind: 'keys' }), turnDeg: ref(null), stacking: ref(false), isOpen: ref(true) },
      ...{ keys: computed(() => [confirming, confirming]), clash: ref(null), strip: ref([]), activeValve: ref(null) },
      handOver: { asked: ref(null) },
      ...changes,
    } as unknown as BenchScreen
    const bench = { view: ref(null), next: ref(null), wanted: ref(null) } as unknown as ReturnType<typeof useBench>
    const page = mount(
      defineComponent(() => {
        useBenchKeys(bench, screen, { acknowledged: ref(true), acknowledge: () => {} })
        return () => h('div')
      }),
      { attachTo: document.body },
    )
    window.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter' }))
    page.unmount()
    return press.mock.calls
  }
  it('confirms what is only confirmed', () => expect(enter()).toEqual([[0]]))
  it.each([
    ['takes no job out of another hand', { handOver: { asked: ref({}) } }],
    ['settles no conflict', { clash: ref({}) }],
    ['chooses no feel', { keys: computed(() => [{ happening: { type: 'trial' } }, {}]) }],
  ])('%s', (_, changes) => expect(enter(changes)).toEqual([]))
})
