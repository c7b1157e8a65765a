import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { place } from '~~/tests/support/nuxt-imports'
import { fine, shopAnswers, within } from '~~/tests/support/screens'
import { useMachineList } from './useMachineList'

beforeEach(() => {
  place.query = {}
})
afterEach(() => vi.unstubAllGlobals())

/** The page of machines at an address. @returns what it asked the server for, in order */
async function list(query: Record<string, string> = {}) {
  place.query = query
  const asked = shopAnswers(() => fine({ rows: [], total: 60, counts: {}, kinds: [] }))
  const { it: page, end } = within(useMachineList)
  await page.find()
  const lines = () => asked.map(a => new URLSearchParams(a.line.split('?')[1]))
  return { page, end, lines, last: () => Object.fromEntries(lines().at(-1)!) }
}

describe('the list of machines', () => {
  it('asks for what its address says, so that it is as it was left', async () => {
    const { last, end } = await list({ q: 'mower', show: 'here', sort: 'owner', from: '25' })
    expect(last()).toMatchObject({ q: 'mower', show: 'here', sort: 'owner', from: '25', most: '25' })
    end()
  })
  it('what somebody wrote into the address and is nothing is left out', async () => {
    const { last, page, end } = await list({ show: 'purple', from: '-4', sort: 'x' })
    expect([last().show, last().from, last().sort]).toEqual(['all', '0', 'name'])
    expect(page.failed.value).toBe('')
    end()
  })
  it('another order or owner begins with the first page, and stands in the address; the usual does not', async () => {
    const { page, last, end } = await list({ from: '50' })
    page.ask({ sort: 'owner' })
    await flushPromises()
    expect([last().sort, last().from]).toEqual(['owner', '0'])
    expect(place.query).toEqual({ sort: 'owner' })
    page.ask({ sort: 'name' })
    await flushPromises()
    expect(place.query).toEqual({})
    end()
  })
  it('a page further on keeps the rest, and typing goes back to the first', async () => {
    vi.useFakeTimers()
    const { page, last, end } = await list({ show: 'here' })
    page.ask({ from: 25 })
    await flushPromises()
    expect([last().from, last().show]).toEqual(['25', 'here'])
    page.q.value = 'mower'
    await vi.advanceTimersByTimeAsync(500)
    expect([last().q, last().from]).toEqual(['mower', '0'])
    vi.useRealTimers()
    end()
  })
})
