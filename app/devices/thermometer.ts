import { parseThermometerLine, thermometerLine, type ThermometerReading } from '~~/core/cooling'
import { HOUR_MS } from '~~/core/units'
import { t } from '../words'

/** Something that sends lines: a serial port, or the stand-in. */
export interface LinePort {
  lines: AsyncIterable<string>
  close: () => Promise<void>
}

interface SerialLike {
  requestPort: () => Promise<{
    open: (o: { baudRate: number }) => Promise<void>
    readable: ReadableStream<Uint8Array> | null
    close: () => Promise<void>
  }>
}
const serial = (): SerialLike | null => (navigator as Navigator & { serial?: SerialLike }).serial ?? null
/** Whether this browser can speak to a device on a serial line; it wants a secure context. */
export const hasSerial = (): boolean => typeof navigator !== 'undefined' && serial() !== null

async function* split(reader: ReadableStreamDefaultReader<Uint8Array>): AsyncGenerator<string> {
  const decoder = new TextDecoder()
  let rest = ''
  for (;;) {
    const { value, done } = await reader.read().catch(() => Promise.reject(new Error(t('thermometer.unplugged'))))
    if (done) return
    const parts = (rest + decoder.decode(value, { stream: true })).split('\n')
    rest = parts.pop() ?? ''
    yield* parts
  }
}
export async function openSerial(): Promise<LinePort> {
  // what the browser says by itself is in its own words: ours say what to do
  const port = await serial()!
    .requestPort()
    .catch(() => Promise.reject(new Error(t('thermometer.none-chosen'))))
  await port.open({ baudRate: 9600 }).catch(() => Promise.reject(new Error(t('thermometer.port-busy'))))
  const reader = port.readable!.getReader()
  return {
    lines: split(reader),
    close: async () => {
      // a read that still waits ends with this; a port does not close while somebody holds its reader
      await reader.cancel().catch(() => {})
      reader.releaseLock()
      // one that was unplugged is closed already
      await port.close().catch(() => {})
    },
  }
}

const STAND_IN = { startC: 58, airC: 19.5, perHour: 0.9, everyMs: 120 }
let since: number | null = null
/**
 * A made-up engine on a made-up thermometer: it began to cool when it was first asked, and speaks as a real one does.
 */
export function openStandIn(nowMs: () => number): LinePort {
  since ??= nowMs()
  async function* lines(): AsyncGenerator<string> {
    for (let i = 0; ; i++) {
      await new Promise(done => setTimeout(done, STAND_IN.everyMs))
      const hours = (nowMs() - since!) / HOUR_MS
      const headC =
        STAND_IN.airC + (STAND_IN.startC - STAND_IN.airC) * Math.exp(-STAND_IN.perHour * hours) + [0.2, -0.1, 0][i % 3]!
      yield thermometerLine({ headC, airC: STAND_IN.airC })
    }
  }
  return { lines: lines(), close: () => Promise.resolve() }
}

const WANTED = 3
const MOST_LINES = 12
/** A thermometer sends every second or so: one that says nothing for this long is not there. */
const PATIENCE_MS = 6000
const SILENT = t('thermometer.the-thermometer-sends-nothing-look')

/** The next line, or null where there is none any more. @throws Error after a silence */
async function nextLine(lines: AsyncIterator<string>, patienceMs: number): Promise<string | null> {
  let late: ReturnType<typeof setTimeout> | undefined
  const silence = new Promise<never>((_, fail) => {
    late = setTimeout(() => fail(new Error(SILENT)), patienceMs)
  })
  try {
    const { value, done } = await Promise.race([lines.next(), silence])
    return done ? null : value
  } finally {
    clearTimeout(late)
  }
}

/**
 * The middle one of three lines that can be read. @throws Error with the last reason when a dozen lines give none, or
 * nothing comes
 */
export async function readThermometer(port: LinePort, patienceMs = PATIENCE_MS): Promise<ThermometerReading> {
  const good: ThermometerReading[] = []
  let why = new Error(SILENT)
  const lines = port.lines[Symbol.asyncIterator]()
  try {
    for (let i = 0; i < MOST_LINES; i++) {
      const line = await nextLine(lines, patienceMs)
      if (line === null) break
      try {
        good.push(parseThermometerLine(line))
      } catch (error) {
        why = error as Error
      }
      if (good.length === WANTED) return good.sort((a, b) => a.headC - b.headC)[1]!
    }
  } finally {
    await port.close()
  }
  throw why
}
