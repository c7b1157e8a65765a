import fc from 'fast-check'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { thermometerLine } from '~~/core/cooling'
import { openSerial, readThermometer } from './thermometer'

describe('a thermometer on a line', () => {
  const port = (lines: string[]) => {
    const state = { closed: 0 }
    async function* all() {
      for (const l of lines) yield await Promise.resolve(l)
    }
    return {
      lines: all(),
      close: async () => {
        await Promise.resolve(state.closed++)
      },
      state,
    }
  }
  const line = (headC: number) => thermometerLine({ headC, airC: 20 })
  it('the middle one of three good lines counts; what is damaged between is left out; the port is closed', async () => {
    const given = port([line(58.2).slice(3), line(58.2), 'noise', line(91), line(58.4), line(10)])
    expect(await readThermometer(given)).toEqual({ headC: 58.4, airC: 20 })
    expect(given.state.closed).toBe(1)
  })
  it('nothing but noise, and silence, are said in words', async () => {
    await expect(readThermometer(port(Array.from({ length: 20 }, () => 'x')))).rejects.toThrow(/is-no-line-of-a/)
    await expect(readThermometer(port([]))).rejects.toThrow(/sends nothing/)
    const silent = {
      lines: { [Symbol.asyncIterator]: () => ({ next: () => new Promise<never>(() => {}) }) },
      closed: 0,
      close: async () => {
        await Promise.resolve(silent.closed++)
      },
    }
    await expect(readThermometer(silent, 20)).rejects.toThrow(/sends nothing/)
    expect(silent.closed).toBe(1)
  })
})

/** A serial line of a browser: what it sends, piece by piece, and what goes wrong with it. */
function serialLine({ pieces = [] as Uint8Array[], lost = false, busy = false, chosen = true }) {
  const told = { open: false, held: false }
  const port = {
    open: () => {
      if (busy) return Promise.reject(new DOMException('Failed to open serial port.', 'NetworkError'))
      told.open = true
      return Promise.resolve()
    },
    readable: {
      getReader: () => {
        told.held = true
        const left = [...pieces]
        return {
          read: () => {
            const value = left.shift()
            if (value) return Promise.resolve({ value, done: false })
            return lost
              ? Promise.reject(new DOMException('The device has been lost.', 'NetworkError'))
              : Promise.resolve({ value: undefined, done: true })
          },
          cancel: () => (lost ? Promise.reject(new DOMException('lost')) : Promise.resolve()),
          releaseLock: () => {
            told.held = false
          },
        }
      },
    },
    close: () => {
      if (told.held) return Promise.reject(new TypeError('Cannot cancel a locked stream'))
      told.open = false
      // Web Serial closes a lost device with an error of its own
      return lost
        ? Promise.reject(new DOMException('The port is already closed.', 'InvalidStateError'))
        : Promise.resolve()
    },
  }
  vi.stubGlobal('navigator', {
    serial: {
      requestPort: () =>
        chosen
          ? Promise.resolve(port)
          : Promise.reject(new DOMException('No port selected by the user.', 'NotFoundError')),
    },
  })
  return told
}

describe('a thermometer on a serial line', () => {
  afterEach(() => vi.unstubAllGlobals())
  const sent = ['58.2', '58.4', '58.3'].map(c => `${thermometerLine({ headC: Number(c), airC: 20 })}\r\n`).join('')
  it('is read wherever its bytes are cut', () =>
    fc.assert(
      fc.asyncProperty(fc.array(fc.integer({ min: 1, max: sent.length - 1 }), { maxLength: 12 }), async cuts => {
        const bytes = new TextEncoder().encode(sent)
        const at = [0, ...new Set(cuts)].toSorted((a, b) => a - b)
        const told = serialLine({ pieces: at.map((from, i) => bytes.slice(from, at[i + 1])) })
        expect(await readThermometer(await openSerial())).toEqual({ headC: 58.3, airC: 20 })
        expect(told).toEqual({ open: false, held: false })
      }),
      { numRuns: 40 },
    ))
  it('that nobody chose, or another program has, is said in our words', async () => {
    serialLine({ chosen: false })
    await expect(openSerial()).rejects.toThrow(/choose/i)
    serialLine({ busy: true })
    await expect(openSerial()).rejects.toThrow('Close the other program that uses it')
  })
  it('that is unplugged while it is read is said in our words, not in the browser’s', async () => {
    const half = new TextEncoder().encode(sent.slice(0, 24))
    const told = serialLine({ pieces: [half], lost: true })
    await expect(readThermometer(await openSerial())).rejects.toThrow('The thermometer was unplugged.')
    expect(told).toEqual({ open: false, held: false })
  })
})
