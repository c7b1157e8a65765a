import { computed, ref } from 'vue'
import { navigateTo } from '#imports'
import type { Happening, JobPin } from '~~/core/job'
import { carryRefused, lastInHand } from '~~/core/job/carry-over'
import { carryOver, discardOpening, openAgain } from '../local/openings'
import { useOutboxStore } from '../stores/outbox'
import { usePhotosStore } from '../stores/photos'
import { useSessionStore } from '../stores/session'
import { api } from '../utils/api'
import { wordsFor } from '../utils/errors'
import { shopDay } from '../utils/shop-day'
import { t, tell } from '../words'

/** A job that began on this device and that the shop refused to open: what becomes of what was answered in it. */
export function useNotOpened(pin: JobPin) {
  const { jobId } = pin
  const session = useSessionStore()
  const outbox = useOutboxStore()
  const photos = usePhotosStore()
  const wrong = ref('')
  const busy = ref(false)
  const opening = computed(() => outbox.refusedOpening(jobId))
  /** The job that is open on the machine, where that is what is in the way. */
  const thereId = computed(() => {
    const { code, detail } = opening.value?.refusedAs ?? {}
    return code === 'open-job' && Number.isInteger(Number(detail)) ? Number(detail) : null
  })
  const kept = computed(() => outbox.waiting.filter(w => w.jobId === jobId && w.shopId === session.shop?.id))
  const answers = computed(() => kept.value.length)
  /** “812 km”, where a meter was read. */
  const meter = computed(() => {
    const read = opening.value?.kind === 'job' ? opening.value.request.meter : null
    return read === null ? '' : `${read} ${pin.machine.meterUnit}`
  })
  const meterInWay = computed(() => meter.value !== '' && /^meter-/.test(opening.value?.refusedAs?.code ?? ''))
  /** What another began is not thrown away by whoever finds it. */
  const isOwn = computed(() => opening.value?.personId === session.person?.id)

  /** Changes what waits, one after the other, and reads the stores again. @returns whether it went well */
  async function change(work: () => Promise<unknown>): Promise<boolean> {
    if (busy.value) return false
    busy.value = true
    wrong.value = ''
    try {
      await work()
      return true
    } catch (error) {
      wrong.value = wordsFor(error)
      return false
    } finally {
      await Promise.all([outbox.readOpenings(), outbox.load(), photos.load()]).catch(() => {})
      busy.value = false
      void outbox.flush()
      void photos.flush()
    }
  }

  /** What the job was begun with, which the other does not know. */
  function cameFor(): string {
    const begun = opening.value!
    const request = begun.kind === 'job' ? begun.request : null
    return t('not-opened.came-for', {
      machine: begun.name,
      meter: meter.value,
      complaint: request?.complaint ?? '',
      tasks: (request?.tasks ?? []).map(task => task.name).join(', '),
    })
  }
  /** Tasks that the other job does not have yet are added to it. */
  async function bringTasks(to: number): Promise<void> {
    const begun = opening.value!
    const own = begun.kind === 'job' ? begun.request.tasks : []
    if (own.length === 0) return
    const has = new Set((await api('GET /api/jobs/:id/sheet', { id: to })).tasks.map(task => task.name.toLowerCase()))
    for (const task of own.filter(({ name }) => !has.has(name.toLowerCase())))
      await api('POST /api/jobs/:id/tasks', { id: to, body: task })
  }
  /** The meter goes on the machine’s record where the other job was opened without one. A note has it in any case. */
  async function bringMeter(there: JobPin): Promise<void> {
    const begun = opening.value!
    if (begun.kind !== 'job' || begun.request.meter === null || there.machine.meter !== null) return
    const { meter, meterReplaced: replaced } = begun.request
    const on = shopDay(begun.openedAt, session.shop?.timeZone ?? 'UTC')
    await api('POST /api/machines/:id/meter', { id: there.machine.id, body: { on, meter, replaced } }).catch(() => {})
  }
  /** Carries the answers over into the job that is open. @throws Error in words where they would not mean the same */
  async function carry(to: number): Promise<void> {
    const begun = opening.value!
    const said = kept.value.map(w => w.request as Happening)
    const there = await api('GET /api/jobs/:id', { id: to, query: { after: 0 } })
    if (there.events.some(e => e.type === 'closed' || e.type === 'abandoned')) throw new Error(t('carry.closed'))
    const refusal = carryRefused(pin, said, there.pin, there.events)
    if (refusal) throw new Error(tell(refusal))
    const note = cameFor()
    // what fails here is tried again with all of it: nothing was carried over yet
    await bringTasks(to)
    await bringMeter(there.pin)
    await carryOver(begun, { jobId: to, lastSeq: there.lastSeq }, pin.bladeSet.name)
    const seen = { seenSeq: there.lastSeq, seenDeviceSeq: await outbox.load() }
    await outbox.add(to, { type: 'note', payload: { text: note } }, seen)
    const set = lastInHand(pin, said)
    if (set !== there.pin.bladeSet.name) await outbox.add(to, { type: 'blades-taken', payload: { set } }, seen)
  }

  return {
    opening,
    thereId,
    answers,
    meter,
    meterInWay,
    isOwn,
    wrong,
    busy,
    async bring(): Promise<void> {
      const to = thereId.value
      if (to === null) return
      await change(() => carry(to))
      if (!opening.value) await navigateTo(`/jobs/${to}`)
    },
    /** Sends it again, as it is. */
    again: () => change(() => openAgain(opening.value!)),
    /** Sends it again without its meter, which becomes a note. */
    async withoutMeter(): Promise<void> {
      const begun = opening.value!
      if (begun.kind !== 'job') return
      const note = t('not-opened.meter-was', { meter: meter.value })
      await change(async () => {
        await outbox.add(jobId, { type: 'note', payload: { text: note } }, { seenSeq: 0, seenDeviceSeq: 0 })
        await openAgain({ ...begun, request: { ...begun.request, meter: null, meterReplaced: false } })
      })
    },
    async discard(): Promise<void> {
      if (await change(() => discardOpening(opening.value!))) await navigateTo('/')
    },
  }
}
