import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { BackupsResponse, RestoreResponse } from '~~/shared/backups'
import { fine, refused, shopAnswers, within } from '../../tests/support/screens'
import { useBackups } from './useBackups'
import { useRestore } from './useRestore'

const standing = (running: BackupsResponse['running']): BackupsResponse => ({
  folder: '/var/backups',
  files: [],
  running,
  failed: null,
  nightly: true,
})
/** A second on, with what was asked in it answered. */
const second = async () => {
  vi.advanceTimersByTime(1000)
  await flushPromises()
}
beforeEach(() => void vi.useFakeTimers())
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

describe('a backup that is being made', () => {
  it('is followed to its end by a page that was loaded in the middle of it', async () => {
    let running: BackupsResponse['running'] = { kind: 'asked', part: 0.2 } as BackupsResponse['running']
    const asked = shopAnswers(() => fine(standing(running)))
    const { it: page, end } = within(useBackups)
    await page.load()
    expect(page.running.value?.part).toBe(0.2)
    running = { ...running!, part: 0.7 }
    await second()
    expect(page.running.value?.part).toBe(0.7)
    running = null
    await second()
    expect(page.running.value).toBeNull()
    const then = asked.length
    await second()
    expect(asked.length, 'a page with nothing to follow asks no more').toBe(then)
    end()
  })
  it('is still followed after a moment without an answer', async () => {
    let away = false
    const running = { kind: 'asked', part: 0.2 } as BackupsResponse['running']
    shopAnswers(() => (away ? 'no answer' : fine(standing({ ...running!, part: 0.9 }))))
    const { it: page, end } = within(useBackups)
    await page.load()
    away = true
    await second()
    expect(page.form.failed.value).not.toBe('')
    away = false
    await second()
    expect([page.running.value?.part, page.form.failed.value]).toEqual([0.9, ''])
    end()
  })
  it('one that is refused is not followed, and says why', async () => {
    const asked = shopAnswers(({ line }) =>
      line.startsWith('POST') ? refused('A backup is being made already.', 409) : fine(standing(null)),
    )
    const { it: page, end } = within(useBackups)
    expect(await page.make('')).toBe(false)
    expect(page.form.failed.value).toContain('already')
    await second()
    expect(asked).toHaveLength(1)
    end()
  })
})

describe('a backup that is brought back', () => {
  it('is found under way, and done, by a page that is loaded meanwhile', async () => {
    let state: RestoreResponse = { state: 'running', part: 0.4 }
    shopAnswers(() => fine(state))
    const { it: page, end } = within(useRestore)
    await flushPromises()
    expect(page.state.value).toEqual({ state: 'running', part: 0.4 })
    state = { state: 'done', madeAt: null, lead: { signIn: 'ada', code: 'ABCD2345' } }
    await second()
    expect(page.state.value, 'with the way in, which nobody else can tell').toEqual(state)
    end()
  })
  it('on an empty server there is none, and nothing is followed', async () => {
    const asked = shopAnswers(() => fine({ state: 'none' }))
    const { it: page, end } = within(useRestore)
    await flushPromises()
    await second()
    expect([page.state.value.state, asked.length]).toEqual(['none', 1])
    end()
  })
})
