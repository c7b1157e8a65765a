import type { Clearance, Engine } from '../../core/engine'
import { type Happening, type JobPin, jobTools, viewJob } from '../../core/job'
import { engineOf, LogBook, pinOf } from './builders'
import { nextThing } from './told'

export const T = { kind: 'mark', markIndex: 0 } as const
const NOW = Date.UTC(2026, 10, 25, 9)
export const limits = (minMm: number, maxMm: number): Clearance => ({
  form: 'limits',
  minMm,
  maxMm,
  text: '',
  unit: 'mm',
})
export const said = (engine: Engine = engineOf(), changes: Partial<JobPin> = {}) => {
  const tools = jobTools(pinOf(engine, changes))
  const log = new LogBook()
  const book = {
    say(...happenings: Happening[]) {
      for (const h of happenings) log.add(h)
      return book
    },
    view: () => viewJob(tools, log.events, Date.parse(log.events.at(-1)?.at ?? new Date(NOW).toISOString()) + 1000),
    next: (wanted: string | null = null) => nextThing(book.view(), wanted),
  }
  return book
}
export const confirmed = (item: 'machine' | 'spec' | 'valves' | 'safe'): Happening => ({
  type: 'confirmed',
  payload: { item },
})
export const trial = (
  valveId: string,
  t: number,
  feel: 'free' | 'drag' | 'pinched' | 'no-go',
  after:
    { kind: 'screw'; deg: number } | { kind: 'nipped' } | { kind: 'torqued'; torqueNm: number | null } | null = null,
): Happening => ({ type: 'trial', payload: { valveId, bladesMm: [t], feel, after } })
export const ready = (book: ReturnType<typeof said>, strip = ['Seat', 'Spark plug', 'Rocker cover']) =>
  book.say(
    confirmed('machine'),
    confirmed('spec'),
    { type: 'rested', payload: { hours: 12 } },
    confirmed('safe'),
    ...strip.map((item): Happening => ({ type: 'came-off', payload: { item } })),
    { type: 'plug-read', payload: { look: 'Gray to brown' } },
    { type: 'plug-gap', payload: { was: 'right' } },
    confirmed('valves'),
  )
export const found = (book: ReturnType<typeof said>) =>
  ready(book).say({
    type: 'crank',
    payload: {
      observations: [
        { kind: 'move', to: T },
        { kind: 'rocker', valveId: 'intake', slack: true },
        { kind: 'rocker', valveId: 'exhaust', slack: true },
      ],
    },
  })
