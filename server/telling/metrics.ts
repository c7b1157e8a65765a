import { collectDefaultMetrics, Counter, Gauge, Histogram, Registry } from 'prom-client'

/** Figures of this server, in the open text format that measuring programs read; numbers alone, nobody's name. */
export const registry = new Registry()
collectDefaultMetrics({ register: registry, prefix: 'wembric_process_' })
const registers = [registry]
/** s: an answer at the bench, a page, a list, a dump. */
const SECONDS = [0.005, 0.01, 0.025, 0.05, 0.1, 0.25, 0.5, 1, 2.5, 10]

export const requests = new Histogram({
  name: 'wembric_request_seconds',
  help: 'How long requests took, by method, pattern of address and status.',
  labelNames: ['method', 'route', 'status'] as const,
  buckets: SECONDS,
  registers,
})
export const answers = new Counter({
  name: 'wembric_answers_total',
  help: 'Answers of jobs that were taken into a log.',
  registers,
})
export const answerAge = new Histogram({
  name: 'wembric_answer_age_seconds',
  help: 'How long answers had waited in the outbox of a device when they arrived.',
  // s: at once; a server that was away; a day in the field
  buckets: [1, 5, 30, 120, 600, 3600, 21_600, 86_400],
  registers,
})
export const listeners = new Gauge({
  name: 'wembric_listeners',
  help: 'Devices that hear live news from this server.',
  registers,
})

/** A figure that is asked for when somebody looks. */
export const lookedUp = (name: string, help: string, look: () => Promise<number | null>): Gauge =>
  new Gauge({
    name,
    help,
    registers,
    async collect() {
      const value = await look().catch(() => null)
      if (value === null) this.reset()
      else this.set(value)
    },
  })
