import { limitsOf, targetOf } from '../../core/feeler'
import { bayColumn, clearanceOf, isWeighing, type JobTools, jobTools, judgeReading, latestReading, nextThing, type NextThing, viewJob } from '../../core/job'
import type { BayCard, BayResponse } from '../../shared/responses'
import type { Db } from '../database/query'
import { eventsAfter } from '../repositories/events'
import { type JobRow, jobsForBay } from '../repositories/jobs'
import { kindsOfRevisions } from '../repositories/models'
import { shopById } from '../repositories/shops'

/** Tools of jobs looked at lately: an engine's tables need not be made anew for each look at the board. */
const MOST_TOOLS = 60
const tools = new Map<number, JobTools>()
function toolsOf(job: JobRow): JobTools {
  const known = tools.get(job.id)
  if (known) return known
  if (tools.size >= MOST_TOOLS) tools.delete(tools.keys().next().value!)
  // the board only names the next thing: what must be weighed is weighed at the bench
  const made = jobTools(job.pin, () => null)
  tools.set(job.id, made)
  return made
}

/** Midnight of the shop's day, as a moment. */
export function startOfDay(now: Date, timeZone: string): Date {
  const parts = Object.fromEntries(new Intl.DateTimeFormat('en-GB', { timeZone, hour: 'numeric', minute: 'numeric', second: 'numeric', hourCycle: 'h23' }).formatToParts(now).map(p => [p.type, Number(p.value)]))
  return new Date(now.getTime() - (((parts.hour ?? 0) * 60 + (parts.minute ?? 0)) * 60 + (parts.second ?? 0)) * 1000 - now.getMilliseconds())
}

const cardWords = (next: NextThing): string => isWeighing(next) ? 'Find where the crank is' : next.instruction

async function cardOf(db: Db, shopId: number, job: JobRow, kind: string, now: Date): Promise<BayCard> {
  const view = viewJob(toolsOf(job), await eventsAfter(db, shopId, job.id, 0), now.getTime())
  const { pin, state } = view
  return {
    jobId: job.id, number: job.number, column: bayColumn(view), status: state.status, statusReason: state.statusReason,
    machine: pin.machine.name, model: pin.modelName, kind, owner: pin.machine.owner, people: [...state.people], complaint: pin.complaint,
    temperature: state.temperature && { celsius: state.temperature.celsius, limitC: pin.spec.engine.coldLimitC },
    rested: state.rested ? `rested ${Number(state.rested.hours.toFixed(1))} h` : null,
    valves: state.valves.map((valve) => {
      const reading = latestReading(valve)
      const { verdict, reading: interval } = judgeReading(pin, reading, valve.valveId)
      const clearance = clearanceOf(pin, valve.valveId)
      const { minMm, maxMm } = limitsOf(clearance) ?? { minMm: targetOf(clearance), maxMm: targetOf(clearance) }
      return { name: pin.spec.engine.valves.find(v => v.id === valve.valveId)?.name ?? '', verdict: reading ? verdict : 'not measured' as const, loMm: interval.loMm, hiMm: interval.hiMm, minMm, maxMm }
    }),
    next: state.status === 'closed' ? 'Job sheet' : state.status === 'abandoned' ? 'Abandoned' : state.status === 'held' ? 'On hold' : cardWords(nextThing(view)),
    closedAt: state.closedAt,
  }
}

/** The day's board: every job that is not done, and those done today by the shop's clock. */
export async function bayOf(db: Db, shopId: number, now: Date): Promise<BayResponse> {
  const { timeZone } = await shopById(db, shopId)
  const jobs = await jobsForBay(db, shopId, startOfDay(now, timeZone))
  const kinds = new Map((await kindsOfRevisions(db, shopId, [...new Set(jobs.map(j => j.pin.spec.revisionId))])).map(k => [k.revisionId, k.kind]))
  const cards: BayCard[] = []
  for (const job of jobs) cards.push(await cardOf(db, shopId, job, kinds.get(job.pin.spec.revisionId) ?? '', now))
  const today = new Intl.DateTimeFormat('en-GB', { timeZone, weekday: 'long', day: 'numeric', month: 'long' }).format(now)
  return { today, cards, now: now.toISOString() }
}
