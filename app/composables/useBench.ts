import { computed, onMounted, onUnmounted, ref, shallowRef, watch } from 'vue'
import {
  gates,
  type Happening,
  type JobEvent,
  type JobTools,
  jobTools,
  movesSomething,
  nextThing,
  preparePolicies,
  progress,
  viewJob,
} from '~~/core/job'
import type { JobResponse } from '~~/shared/responses'
import { knownJob, rememberJob } from '../local/jobs'
import { asEvent, deviceId } from '../local/outbox'
import { useOutboxStore } from '../stores/outbox'
import { useSessionStore } from '../stores/session'
import { api, NoAnswer, wordsFor } from '../utils/api'
import { useAdvice } from './useAdvice'
import { useLive } from './useLive'

const CLOCK_MS = 20_000

/** Adds events that came from the server to those that are known, once each, in the log's order. */
export function mergeEvents(known: JobEvent[], more: JobEvent[]): JobEvent[] {
  const byId = new Map(known.map(e => [e.id, e]))
  for (const event of more) byId.set(event.id, event)
  return [...byId.values()].sort((a, b) => (a.seq ?? 0) - (b.seq ?? 0))
}

/** One job at the bench: its log from server and outbox together, what it means, and how to answer. */
export function useBench(jobId: number) {
  const session = useSessionStore()
  const outbox = useOutboxStore()
  const weigh = useAdvice()
  const tools = shallowRef<JobTools | null>(null)
  const events = shallowRef<JobEvent[]>([])
  const lastSeq = ref(0)
  const failed = ref<string | null>(null)
  const nowMs = ref(Date.now())
  const wanted = ref<string | null>(null)
  const device = ref('')

  function take(job: Pick<JobResponse, 'pin' | 'events' | 'lastSeq'>): void {
    tools.value ??= jobTools(job.pin, weigh)
    events.value = mergeEvents(events.value, job.events)
    lastSeq.value = Math.max(lastSeq.value, job.lastSeq)
    remember()
  }
  function remember(): void {
    if (tools.value && session.shop)
      rememberJob(session.shop.id, { pin: tools.value.pin, events: events.value, lastSeq: lastSeq.value }).catch(
        () => {},
      )
  }

  async function fetchMore(): Promise<void> {
    try {
      const job = await api.get<JobResponse>(`/api/jobs/${jobId}?after=${lastSeq.value}`)
      session.learnTime(job.now)
      session.offline = false
      take(job)
    } catch (error) {
      if (error instanceof NoAnswer) session.offline = true
      else failed.value = wordsFor(error)
    }
  }

  async function load(): Promise<void> {
    failed.value = null
    device.value = await deviceId()
    await outbox.load()
    const known = session.shop && (await knownJob(session.shop.id, jobId))
    if (known) take(known)
    await fetchMore()
    if (!tools.value && !failed.value)
      failed.value = 'This job is not on this device, and the shop’s server does not answer. Try again when it does.'
    void outbox.flush()
  }

  const pending = computed(() =>
    outbox.waiting.filter(w => w.jobId === jobId && w.shopId === session.shop?.id && !w.refused),
  )
  const log = computed(() => {
    const known = new Set(events.value.map(e => e.id))
    return [...events.value, ...pending.value.filter(w => !known.has(w.id)).map(asEvent)]
  })
  // the blade policies take a few milliseconds each the first time: worked out while nobody waits
  watch(
    () => tools.value,
    ready => {
      if (ready) window.setTimeout(() => preparePolicies(ready), 300)
    },
  )
  const view = computed(() => (tools.value ? viewJob(tools.value, log.value, nowMs.value) : null))
  const next = computed(() => view.value && nextThing(view.value, wanted.value))

  async function answer(happening: Happening): Promise<void> {
    nowMs.value = Date.now() + session.skewMs
    // a reason for measuring the tapped valve here lets it in: it stays the one that is worked on
    const keepsValve =
      happening.type === 'mark-checked' ||
      happening.type === 'trial' ||
      (happening.type === 'gate-passed' && happening.payload.gate.startsWith('off-stop:'))
    if (!keepsValve) wanted.value = null
    await outbox.add(jobId, happening, lastSeq.value)
  }

  /** This browser's last answer that still stands, from whichever of its pages. */
  const lastOwn = computed(
    () =>
      log.value.findLast(
        e =>
          e.deviceId.split('.')[0] === device.value &&
          e.type !== 'retracted' &&
          e.type !== 'closed' &&
          !view.value?.state.retracted.has(e.id),
      ) ?? null,
  )
  const isMovement = (event: JobEvent): boolean => movesSomething(event) || event.type === 'nut-loosened'

  let timer: ReturnType<typeof setInterval> | undefined
  let stop: (() => void) | undefined
  onMounted(() => {
    stop = outbox.onTaken((id, event, seq) => {
      if (id !== jobId) return
      events.value = mergeEvents(events.value, [event])
      // only what came without a hole counts as seen; a hole is fetched
      if (seq === lastSeq.value + 1) lastSeq.value = seq
      else void fetchMore()
      remember()
    })
    timer = setInterval(() => {
      nowMs.value = Date.now() + session.skewMs
    }, CLOCK_MS)
    void load()
  })
  onUnmounted(() => {
    clearInterval(timer)
    stop?.()
  })
  useLive(news => {
    if ('jobId' in news && news.jobId === jobId && news.seq > lastSeq.value) void fetchMore()
  })

  return {
    view,
    next,
    wanted,
    failed,
    log,
    lastOwn,
    isMovement,
    answer,
    load,
    steps: computed(() => (view.value ? progress(view.value) : [])),
    requirements: computed(() => (view.value ? gates(view.value) : [])),
    toSend: computed(() => pending.value.length),
  }
}
