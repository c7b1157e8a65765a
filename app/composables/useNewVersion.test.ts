import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { within } from '~~/tests/support/screens'
import { useNewVersion } from './useNewVersion'

/** A browser with a service worker of this application; another may come to wait beside it. */
class Workers extends EventTarget {
  controller: object | null = {}
  readonly told: unknown[] = []
  readonly registration = Object.assign(new EventTarget(), {
    waiting: null as object | null,
    installing: null as EventTarget | null,
    update: vi.fn(async () => {}),
  })
  allowed = true
  register = async () => {
    if (!this.allowed) throw new DOMException('not here', 'SecurityError')
    return this.registration
  }
  /** Another version is fetched and waits. */
  async fetched() {
    const worker = Object.assign(new EventTarget(), { postMessage: (message: unknown) => this.told.push(message) })
    this.registration.installing = worker
    this.registration.dispatchEvent(new Event('updatefound'))
    this.registration.waiting = worker
    worker.dispatchEvent(new Event('statechange'))
    await flushPromises()
  }
  takesOver() {
    this.dispatchEvent(new Event('controllerchange'))
  }
}
let workers: Workers
let reload: ReturnType<typeof vi.fn>
async function page() {
  const { it: version, end } = within(useNewVersion)
  await flushPromises()
  return { version, end }
}
beforeEach(() => {
  workers = new Workers()
  reload = vi.fn()
  Object.defineProperty(navigator, 'serviceWorker', { value: workers, configurable: true })
  vi.spyOn(location, 'reload').mockImplementation(reload as () => void)
})
afterEach(() => {
  Reflect.deleteProperty(navigator, 'serviceWorker')
  vi.restoreAllMocks()
})

describe('a new version of the application', () => {
  it('is told at a seam, never under a hand, and used when somebody says so', async () => {
    const { version, end } = await page()
    version.seam()
    expect(version.told.value, 'there is none').toBe(false)
    await workers.fetched()
    expect(version.told.value, 'in the middle of an answer').toBe(false)
    version.seam()
    expect([version.told.value, workers.told, reload.mock.calls.length]).toEqual([true, [], 0])
    version.use()
    expect(workers.told).toEqual([{ type: 'SKIP_WAITING' }])
    expect(reload, 'before the new one is in charge').not.toHaveBeenCalled()
    workers.takesOver()
    expect(reload).toHaveBeenCalledOnce()
    end()
  })
  it('that waited since before the page was opened is told too', async () => {
    workers.registration.waiting = { postMessage: () => {} }
    const { version, end } = await page()
    version.seam()
    expect(version.told.value).toBe(true)
    end()
  })
  it('that another page of the browser went over to: this one stays as it is until it is asked', async () => {
    const { version, end } = await page()
    workers.takesOver()
    expect(reload).not.toHaveBeenCalled()
    version.seam()
    expect(version.told.value).toBe(true)
    version.use()
    expect([workers.told, reload.mock.calls.length]).toEqual([[], 1])
    end()
  })
  it('the first version of all is no new one', async () => {
    workers.controller = null
    const { version, end } = await page()
    workers.takesOver()
    version.seam()
    expect(version.told.value).toBe(false)
    end()
  })
  it('where no service worker may be, the page goes on without', async () => {
    workers.allowed = false
    const { version, end } = await page()
    version.seam()
    expect(version.told.value).toBe(false)
    end()
  })
})
