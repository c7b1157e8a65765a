import { computed, onMounted, onUnmounted, ref, shallowRef, watch } from 'vue'
import {
  browserOf,
  gates,
  type Happening,
  type JobEvent,
  type JobPin,
  type JobTools,
  jobTools,
  movesSomething,
  nextThing,
  preparePolicies,
  progress,
  viewJob,
} from '~~/core/job'
import { MINUTE_MS } from '~~/core/units'
import type { JobResponse } from '~~/shared/jobs'
import { knownJob, mergeEvents, rememberJob } from '../local/jobs'
import { asEvent, deviceId } from '../local/outbox'
import { useOutboxStore } from '../stores/outbox'
import { useSessionStore } from '../stores/session'
import { api, isAway, Refused } from '../utils/api'
import { wordsFor } from '../utils/errors'
import { whenIdle } from '../utils/idle'
import { t } from '../words'
import { useAdvice } from './useAdvice'
import { useForesight } from './useForesight'
import { useLive } from './useLive'
import { useUnitFirst } from './useOwnScreen'

const CLOCK_MS = 20_000
/** Nobody has a blade in hand sooner. From memory. */
const PREPARED_AFTER_MS = 300
/** After so long without an answer nobody is asked whether to take a job over. From memory. */
const IN_HAND_MINUTES = 30
/** What may be said of a job that is in another's hand. */
const FROM_OUTSIDE: ReadonlySet<Happening['type']> = new Set(['taken-over', 'placed', 'note', 'reopened'])

/** What Undo passes over. */
const NOT_TAKEN_BACK: ReadonlySet<Happening['type']> = new Set(['retracted', 'closed', 'taken-over'])

export interface OtherHand {
  personName: string
  minutes: number
}

/** One job at the bench: its log from server and outbox together, what it means, and how to answer. */
export function useBench(jobId: number) {
  const session = useSessionStore()
  const outbox = useOutboxStore()
  const weigh = useAdvice()
  const pin = shallowRef<JobPin | null>(null)
  const unitFirst = useUnitFirst()
  const tools = computed((): JobTools | null =>
    pin.value
      ? jobTools(
          { ...pin.value, unit: unitFirst.value ?? pin.value.unit },
          weigh,
          pin.value.quick ? 'practiced' : (session.person?.hands ?? 'guided'),
        )
      : null,
  )
  const events = shallowRef<JobEvent[]>([])
  const lastSeq = ref(0)
  const failed = ref<string | null>(null)
  const nowMs = ref(Date.now())
  const wanted = ref<string | null>(null)
  const device = ref('')
  /** All that this browser had given up to here was on the screen when the page read its store. */
  let seenDeviceSeq = 0
  /** What was wrong with the last answer, so that it does not count; null while all is well. */
  const unrecorded = ref<string | null>(null)

  function take(job: Pick<JobResponse, 'pin' | 'events' | 'lastSeq'>): void {
    // a job that began on this device has its number, and a kept one its names, from the shop
    const { number, machine } = pin.value ?? {}
    if (!machine || (job.pin.number > 0 && (number !== job.pin.number || machine.name !== job.pin.machine.name)))
      pin.value = job.pin
    events.value = mergeEvents(events.value, job.events)
    lastSeq.value = Math.max(lastSeq.value, job.lastSeq)
    remember()
  }
  function remember(): void {
    if (pin.value && session.shop)
      rememberJob(session.shop.id, { pin: pin.value, events: events.value, lastSeq: lastSeq.value }).catch(() => {})
  }

  let fetching: Promise<void> | null = null
  let askedAgain = false
  /** What the shop has since. Whoever asks while it is being fetched is served by one more: it may be newer. */
  function fetchMore(): Promise<void> {
    if (fetching) askedAgain = true
    return (fetching ??= fetchAll())
  }
  async function fetchAll(): Promise<void> {
    do {
      askedAgain = false
      await fetchOnce()
    } while (askedAgain)
    fetching = null
  }
  async function fetchOnce(): Promise<void> {
    try {
      const job = await api('GET /api/jobs/:id', { id: jobId, query: { after: lastSeq.value } })
      session.learnTime(job.now)
      session.offline = false
      nowMs.value = Date.now() + session.skewMs
      take(job)
    } catch (error) {
      if (isAway(error)) session.offline = true
      // one that began here is not at the shop before its opening is
      else if (!(pin.value && jobId < 0 && error instanceof Refused && error.status === 404))
        failed.value = wordsFor(error)
    }
  }

  /**
   * Reads this browser's own store: what waits first, so that an answer which is taken meanwhile is in one of the two.
   */
  async function readStore(): Promise<void> {
    try {
      device.value = await deviceId()
      const number = await outbox.load()
      const known = session.shop && (await knownJob(session.shop.id, jobId))
      if (known) take(known)
      seenDeviceSeq = number
    } catch {
      // no store, or none that can be read: the shop's server has the log
    }
  }

  async function load(): Promise<void> {
    failed.value = null
    await readStore()
    if (jobId < 0) await outbox.flush()
    await fetchMore()
    if (!tools.value && !failed.value) failed.value = t('use-bench.this-job-is-not-on')
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
      if (ready) window.setTimeout(() => whenIdle(() => preparePolicies(ready)), PREPARED_AFTER_MS)
    },
  )
  const view = computed(() => (tools.value ? viewJob(tools.value, log.value, nowMs.value) : null))
  const next = computed(() => view.value && nextThing(view.value, wanted.value))
  useForesight({ tools, log, next, nowMs })

  /** Somebody else who answered lately on another device: the job is in their hand, and the keys rest here. */
  const otherHand = computed((): OtherHand | null => {
    const { hand, status } = view.value?.state ?? {}
    if (!hand || status !== 'open' || hand.personId === session.person?.id || hand.browser === device.value) return null
    const minutes = Math.max(0, Math.round((nowMs.value - Date.parse(hand.at)) / MINUTE_MS))
    return minutes > IN_HAND_MINUTES ? null : { personName: hand.personName, minutes }
  })
  /** Answers of others that wait in this browser until they sign in here. */
  const othersWaiting = computed(() => pending.value.filter(w => w.personId !== session.person?.id))

  /** Why an answer may not be given here and now, in words, or null. */
  function refusal(happening: Happening): string | null {
    if (otherHand.value && !FROM_OUTSIDE.has(happening.type))
      return t('use-bench.has-this-job-in-hand', { personName: otherHand.value.personName })
    const [other] = othersWaiting.value
    if (happening.type === 'closed' && other) return t('use-bench.answers-of-are-kept-on', { person: other.personName })
    return null
  }

  async function answer(happening: Happening): Promise<void> {
    unrecorded.value = refusal(happening)
    if (unrecorded.value) return
    nowMs.value = Date.now() + session.skewMs
    // a reason for measuring the tapped valve here lets it in: it stays the one that is worked on
    const keepsValve =
      happening.type === 'mark-checked' ||
      happening.type === 'trial' ||
      (happening.type === 'gate-passed' && happening.payload.gate.startsWith('off-stop:'))
    if (!keepsValve) wanted.value = null
    const whole: Happening =
      happening.type === 'closed' ? { type: 'closed', payload: { after: pending.value.map(w => w.id) } } : happening
    try {
      await outbox.add(jobId, whole, { seenSeq: lastSeq.value, seenDeviceSeq })
    } catch (error) {
      unrecorded.value = wordsFor(error)
    }
  }

  /** This browser's last answer that still stands, from whichever of its pages. */
  const lastOwn = computed(
    () =>
      log.value.findLast(
        e =>
          browserOf(e.deviceId) === device.value &&
          !NOT_TAKEN_BACK.has(e.type) &&
          !view.value?.state.retracted.has(e.id),
      ) ?? null,
  )
  const isMovement = (event: JobEvent): boolean => movesSomething(event) || event.type === 'nut-loosened'

  let timer: ReturnType<typeof setInterval> | undefined
  let stop: (() => void)[] = []
  onMounted(() => {
    const stopTaken = outbox.onTaken((id, event, seq) => {
      if (id !== jobId) return
      events.value = mergeEvents(events.value, [event])
      // only what came without a hole counts as seen; a hole is fetched
      if (seq === lastSeq.value + 1) lastSeq.value = seq
      else void fetchMore()
      remember()
    })
    const stopOther = outbox.onOtherPage(id => {
      if (id === jobId) void readStore()
    })
    stop = [stopTaken, stopOther]
    timer = setInterval(() => {
      nowMs.value = Date.now() + session.skewMs
    }, CLOCK_MS)
    void load()
  })
  onUnmounted(() => {
    clearInterval(timer)
    for (const end of stop) end()
  })
  useLive(
    news => {
      if ('jobId' in news && news.jobId === jobId && news.seq > lastSeq.value) void fetchMore()
    },
    () => {
      // at first the store is read before the shop is asked
      if (!device.value) return
      void fetchMore()
      void outbox.flush()
    },
  )

  return {
    view,
    next,
    wanted,
    failed,
    log,
    lastOwn,
    isMovement,
    answer,
    unrecorded,
    otherHand,
    load,
    steps: computed(() => (view.value ? progress(view.value) : [])),
    requirements: computed(() => (view.value ? gates(view.value) : [])),
    toSend: computed(() => pending.value.length - othersWaiting.value.length),
    othersWaiting,
  }
}
