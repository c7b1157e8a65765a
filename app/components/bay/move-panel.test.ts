import { flushPromises, mount } from '@vue/test-utils'
import PrimeVue from 'primevue/config'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { BayCard } from '~~/shared/board'
import { fine, refused, shopAnswers } from '~~/tests/support/screens'
import { typedTasks } from '../../composables/useTasks'
import MovePanel from './MovePanel.vue'

const card = (jobId: number, changes: Partial<BayCard> = {}): BayCard =>
  ({ jobId, machine: 'Plover 200', assigned: null, tasks: [], ...changes }) as unknown as BayCard
const CREW = [
  { id: 1, name: 'Ada' },
  { id: 2, name: 'Tam' },
] as never
const AMONG = [card(3), card(4), card(5), card(6)]
const panel = (changes: Partial<BayCard> = {}, jobId = 4) =>
  mount(MovePanel, {
    props: { card: card(jobId, changes), crew: CREW, among: AMONG },
    global: { plugins: [PrimeVue] },
  })
const button = (shown: ReturnType<typeof panel>, words: RegExp) =>
  shown.findAll('button').find(b => words.test(b.text()))!

beforeEach(() => typedTasks.clear())
afterEach(() => vi.unstubAllGlobals())

describe('a card that is moved without dragging', () => {
  it('goes to a person, or to nobody, and shows whose it is', async () => {
    const shown = panel({ assigned: { id: 2, name: 'Tam' } })
    expect(button(shown, /^Tam$/).attributes('aria-pressed')).toBe('true')
    await button(shown, /^Ada$/).trigger('click')
    await button(shown, /^Unassigned$/).trigger('click')
    expect(shown.emitted('place')).toEqual([
      [1, null],
      [null, null],
    ])
  })
  it('goes before the one before it, or behind the one behind it, and stays whose it is', async () => {
    const shown = panel({ assigned: { id: 2, name: 'Tam' } })
    await button(shown, /^Sooner$/).trigger('click')
    await button(shown, /^Later$/).trigger('click')
    expect(shown.emitted('place')).toEqual([
      [2, 3],
      [2, 6],
    ])
  })
  it('the first goes no sooner and the last no later; the last but one goes to the end', async () => {
    expect(button(panel({}, 3), /^Sooner$/).attributes('disabled')).toBeDefined()
    expect(button(panel({}, 6), /^Later$/).attributes('disabled')).toBeDefined()
    const shown = panel({}, 5)
    await button(shown, /^Later$/).trigger('click')
    expect(shown.emitted('place')).toEqual([[null, null]])
  })
})

describe('what else a visit is for, at its card', () => {
  it('is added once by two taps in a hurry', async () => {
    const asked = shopAnswers(() => fine({}))
    const shown = panel()
    await shown.find('input').setValue('Brake cable')
    const add = button(shown, /any time/)
    await Promise.all([add.trigger('click'), add.trigger('click')])
    await flushPromises()
    expect(asked.map(a => [a.line, a.body])).toEqual([
      ['POST /api/jobs/4/tasks', { name: 'Brake cable', needs: 'either' }],
    ])
    expect((shown.find('input').element as HTMLInputElement).value).toBe('')
    expect(shown.emitted('changed')).toHaveLength(1)
  })
  it('stays typed where it was refused, and where the panel was closed meanwhile', async () => {
    shopAnswers(() => refused('This job is closed.', 409))
    const shown = panel()
    await shown.find('input').setValue('Brake cable')
    await button(shown, /cold engine/).trigger('click')
    await flushPromises()
    expect(shown.find('[role="alert"]').text()).toBe('This job is closed.')
    shown.unmount()
    expect((panel().find('input').element as HTMLInputElement).value).toBe('Brake cable')
    expect((panel({}, 5).find('input').element as HTMLInputElement).value).toBe('')
  })
  it('nothing is added from an empty field; what is done is not taken off any more', () => {
    const tasks = [
      { id: 8, name: 'Oil change', doneAt: null },
      { id: 9, name: 'New plug', doneAt: '2026-06-01T09:00:00Z' },
    ] as never
    const shown = panel({ tasks })
    expect(button(shown, /any time/).attributes('disabled')).toBeDefined()
    expect(button(shown, /Oil change/)).toBeDefined()
    expect(button(shown, /New plug/)).toBeUndefined()
  })
})
