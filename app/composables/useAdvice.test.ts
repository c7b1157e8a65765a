import { flushPromises } from '@vue/test-utils'
import { expose } from 'comlink'
import { beforeAll, beforeEach, describe, expect, it, vi } from 'vitest'
import { locate, type PositionModel, positionModel } from '~~/core/position'
import { engineOf, pinOf } from '../../tests/support/builders'
import { within } from '../../tests/support/screens'
import type { AdviceRequest } from '../workers/advice'
import type { useAdvice as UseAdvice } from './useAdvice'

type Kind = 'answers' | 'is not made' | 'does not load'
const worker = vi.hoisted(() => ({ kind: 'answers' as string, asked: [] as unknown[] }))
vi.mock('../workers/advice?worker', () => ({
  default: class {
    private readonly port: MessagePort | null = null
    private loading: ((event: Event) => void)[] = []
    constructor() {
      if (worker.kind === 'is not made') throw new Error('no workers here')
      if (worker.kind === 'does not load') setTimeout(() => this.loading.forEach(tell => tell(new Event('error'))), 5)
      const { port1, port2 } = new MessageChannel()
      this.port = port1
      if (worker.kind === 'answers')
        expose((request: AdviceRequest) => {
          worker.asked.push(request)
          return { move: `the worker’s, cold to ${request.engine.coldLimitC} °C` }
        }, port2)
      port1.start()
      port2.start()
    }
    addEventListener(type: string, listener: (event: Event) => void) {
      if (type === 'error') this.loading.push(listener)
      else this.port!.addEventListener(type, listener as EventListener)
    }
    removeEventListener(type: string, listener: EventListener) {
      this.port!.removeEventListener(type, listener)
    }
    postMessage(message: unknown, transfer: Transferable[]) {
      this.port!.postMessage(message, transfer)
    }
    terminate() {
      this.port?.close()
    }
  },
}))
const told = (kind: Kind) => {
  worker.kind = kind
  worker.asked = []
}
let useAdvice: typeof UseAdvice
beforeAll(async () => {
  // another file may have read it with a worker of its own
  vi.resetModules()
  ;({ useAdvice } = await import('./useAdvice'))
})
beforeEach(() => told('answers'))

const modelOf = (engine = pinOf().spec.engine): PositionModel => positionModel(engine)
const ask = (weigh: ReturnType<typeof UseAdvice>, model: PositionModel) => weigh(model, locate(model, []), [])
const later = async (weigh: ReturnType<typeof UseAdvice>, model: PositionModel) => {
  expect(ask(weigh, model), 'no frame waits for it').toBeNull()
  await vi.waitFor(() => expect(ask(weigh, model)).not.toBeNull())
  await flushPromises()
  return ask(weigh, model)
}

describe('the next move, weighed beside the page', () => {
  it('comes from the worker, which is asked once', async () => {
    const { it: weigh, end } = within(useAdvice)
    const model = modelOf()
    expect(await later(weigh, model)).toMatchObject({ move: expect.stringContaining('the worker’s') })
    expect(worker.asked).toHaveLength(1)
    end()
  })
  it('for figures that a newer revision put right, it is weighed anew', async () => {
    const { it: weigh, end } = within(useAdvice)
    const [before, after] = [engineOf(), engineOf({ coldLimitC: 30 })].map(modelOf)
    expect(await later(weigh, before!)).not.toEqual(await later(weigh, after!))
    end()
  })
  it.each<Kind>(['is not made', 'does not load'])('where the worker %s, the page weighs by itself', async kind => {
    told(kind)
    const { it: weigh, end } = within(useAdvice)
    expect(await later(weigh, modelOf())).toHaveProperty('kind')
    end()
  })
})
