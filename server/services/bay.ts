import { LRUCache } from 'lru-cache'
import { planDay, type Turn, type Work } from '../../core/board'
import { temperatureAt } from '../../core/cooling'
import { limitsOf, targetOf } from '../../core/feeler'
import {
  bayColumn,
  clearanceOf,
  coolingDown,
  type JobTools,
  jobTools,
  type JobView,
  judgeReading,
  latestReading,
  type NextThing,
  nextThing,
  viewJob,
} from '../../core/job'
import { HOUR_MS } from '../../core/units'
import type { BayCard, BayCooling, BayResponse } from '../../shared/board'
import type { Db } from '../database/query'
import { type StoredTask, tasksOfJobs } from '../repositories/board'
import { eventsAfter } from '../repositories/events'
import { type BayJobRow, type JobRow, jobsForBay } from '../repositories/jobs'
import { kindsOfRevisions } from '../repositories/models'
import { peopleOfShop } from '../repositories/people'
import { shopById, type ShopRow } from '../repositories/shops'
import { locale, t, tell } from '../words'
import { backupAge } from './backups'
import { heldBecause } from './board'
import { startOfDay } from './days'
import { littleRoom } from './health'
import type { SignedIn } from './people'
import { unkeptOf } from './quick-jobs'

/** Tools of jobs looked at lately: an engine's tables need not be made anew for each look at the board. */
const tools = new LRUCache<string, JobTools>({ max: 400 })
function toolsOf(shopId: number, job: JobRow): JobTools {
  const key = `${shopId}/${job.id}`
  const known = tools.get(key)
  if (known) return known
  // the board only names the next thing: what must be weighed is weighed at the bench
  const made = jobTools(job.pin, () => null)
  tools.set(key, made)
  return made
}

const cardWords = (next: NextThing): string => (next.waits ? t('card.find') : tell(next.instruction))

const nextOfSigned = (tasks: StoredTask[]): string => {
  const left = tasks.filter(task => !task.doneAt)
  return left.length ? t('card.to-do', { tasks: left.map(task => task.name) }) : t('card.sheet')
}

const CURVE_POINTS = 24
/** A cooling engine's readings and its curve, from the first reading to a while after it will be cold. */
function coolingOf(view: JobView): BayCooling | null {
  const down = coolingDown(view)
  if (!down) return null
  const { curve, limitC, ready, airAssumed } = down
  const fromMs = curve.fromMs
  const until = Math.max(view.nowMs, ready.kind === 'at' ? ready.atMs : view.nowMs) + HOUR_MS
  return {
    airC: curve.airC,
    airAssumed,
    limitC,
    ready,
    readings: view.state.headReadings.map(r => ({ atMs: Date.parse(r.at), celsius: r.celsius })),
    curve: Array.from({ length: CURVE_POINTS + 1 }, (_, i) => fromMs + ((until - fromMs) * i) / CURVE_POINTS).map(
      atMs => ({ atMs, celsius: temperatureAt(curve, atMs) }),
    ),
  }
}

type Card = Omit<BayCard, 'turn' | 'assigned'> & { assignedTo: number | null }
async function cardOf(
  db: Db,
  shopId: number,
  job: BayJobRow,
  kind: string,
  tasks: StoredTask[],
  now: Date,
): Promise<Card> {
  const view = viewJob(toolsOf(shopId, job), await eventsAfter(db, shopId, job.id, 0), now.getTime())
  const { pin, state } = view
  return {
    jobId: job.id,
    number: job.number,
    column: bayColumn(view),
    status: state.status,
    statusReason: state.statusReason,
    machine: pin.machine.name,
    model: pin.modelName,
    kind,
    owner: pin.machine.owner,
    people: [...state.people],
    complaint: pin.complaint,
    complaints: pin.complaints,
    temperature: state.temperature && { celsius: state.temperature.celsius, limitC: pin.spec.engine.coldLimitC },
    rested: state.rested ? t('card.parked', { hours: Number(state.rested.hours.toFixed(1)) }) : null,
    cooling: coolingOf(view),
    assignedTo: job.assignedTo,
    place: job.place,
    tasks: tasks.map(t => ({
      ...t,
      doneAt: t.doneAt?.toISOString() ?? null,
      held: t.doneAt ? null : heldBecause(t.needs, job.status),
    })),
    valves: state.valves.map(valve => {
      const reading = latestReading(valve)
      const { verdict, reading: interval } = judgeReading(pin, reading, valve.valveId)
      const clearance = clearanceOf(pin, valve.valveId)
      const { minMm, maxMm } = limitsOf(clearance) ?? { minMm: targetOf(clearance), maxMm: targetOf(clearance) }
      return {
        name: pin.spec.engine.valves.find(v => v.id === valve.valveId)?.name ?? '',
        verdict: reading ? verdict : ('not measured' as const),
        loMm: interval.loMm,
        hiMm: interval.hiMm,
        minMm,
        maxMm,
      }
    }),
    next:
      state.status === 'closed'
        ? nextOfSigned(tasks)
        : state.status === 'abandoned'
          ? t('card.abandoned')
          : state.status === 'held'
            ? t('card.on-hold')
            : cardWords(nextThing(view)),
    closedAt: state.closedAt,
  }
}

/**
 * The day's work as `planDay` takes it: each open card's valves, and other tasks also of a signed one. What is on hold
 * or abandoned waits for nobody.
 */
function worksOf(
  cards: readonly Card[],
  nowMs: number,
  { valveMinutes, taskMinutes }: Pick<ShopRow, 'valveMinutes' | 'taskMinutes'>,
): Work[] {
  return cards
    .filter(c => c.status === 'open' || c.status === 'closed')
    .flatMap((c): Work[] => {
      const ready = c.cooling?.ready
      const cold = ready?.kind === 'at' ? Math.max(nowMs, ready.atMs) : nowMs
      const person = c.assignedTo
      const valves: Work = {
        id: `valves ${c.jobId}`,
        person,
        place: c.place,
        minutes: valveMinutes,
        earliestMs: cold,
        after: null,
        // when it will be cold stands on the card by itself
        waitsFor: '',
      }
      return [
        ...(c.status === 'closed' ? [] : [valves]),
        ...c.tasks
          .filter(task => !task.doneAt)
          .map((task): Work => ({
            id: `task ${task.id}`,
            person,
            place: c.place,
            minutes: taskMinutes,
            earliestMs: task.needs === 'cold' ? cold : nowMs,
            after: task.needs === 'warm' ? valves.id : null,
            waitsFor: task.needs === 'warm' && c.status !== 'closed' ? t('card.after-valves') : valves.waitsFor,
          })),
      ]
    })
}

/** The day's board: every job that is not done, and those done today by the shop's clock. */
export async function bayOf(db: Db, shopId: number, now: Date, person?: SignedIn): Promise<BayResponse> {
  const shop = await shopById(db, shopId)
  const { timeZone } = shop
  const jobs = await jobsForBay(db, shopId, startOfDay(now, timeZone))
  const kinds = new Map(
    (await kindsOfRevisions(db, shopId, [...new Set(jobs.map(j => j.pin.spec.revisionId))])).map(k => [
      k.revisionId,
      k.kind,
    ]),
  )
  const tasks = await tasksOfJobs(
    db,
    shopId,
    jobs.map(j => j.id),
  )
  const crew = (await peopleOfShop(db, shopId)).map(({ id, name }) => ({ id, name }))
  const cards: Card[] = []
  for (const job of jobs)
    cards.push(
      await cardOf(
        db,
        shopId,
        job,
        kinds.get(job.pin.spec.revisionId) ?? '',
        tasks.filter(t => t.jobId === job.id),
        now,
      ),
    )
  const turns = new Map(
    planDay(
      worksOf(cards, now.getTime(), shop),
      crew.map(p => p.id),
      now.getTime(),
    ).map(t => [t.id, t]),
  )
  /** Which of a person’s cards comes when: their other tasks are not cards. */
  const nth = (turn: Turn) =>
    [...turns.values()].filter(t => t.id.startsWith('valves') && t.person === turn.person && t.startMs <= turn.startMs)
      .length
  const turnOf = (turn: Turn | undefined): BayCard['turn'] =>
    turn
      ? {
          n: nth(turn),
          startMs: turn.startMs,
          why: turn.filling ? t('card.is-free', { name: crew.find(p => p.id === turn.person)?.name ?? '' }) : turn.why,
        }
      : null
  const today = new Intl.DateTimeFormat(locale(), { timeZone, weekday: 'long', day: 'numeric', month: 'long' }).format(
    now,
  )
  return {
    today,
    unkept: await unkeptOf(db, shopId, now),
    room: person?.role === 'lead' ? await littleRoom() : null,
    backup: person?.role === 'lead' ? await backupAge(db, person, now) : null,
    crew,
    cards: cards.map(({ assignedTo, ...c }) => ({
      ...c,
      assigned: crew.find(p => p.id === assignedTo) ?? null,
      turn: turnOf(turns.get(`valves ${c.jobId}`)),
    })),
    now: now.toISOString(),
  }
}
