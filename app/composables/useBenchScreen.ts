import { computed, ref, shallowRef, watch } from 'vue'
import { eventWords, type Happening, isCold, type JobEvent, type JobView, positionWithout } from '~~/core/job'
import { asMade } from '../bench/blades-in-hand'
import { goesWithStage, isOwnPanel, KEYS, type Panel } from '../bench/panel'
import { savedWord } from '../bench/saved'
import { scaleTopMm, settableValves, stripValves } from '../bench/strip'
import { useOutboxStore } from '../stores/outbox'
import { useSessionStore } from '../stores/session'
import { t, tell } from '../words'
import type { useBench } from './useBench'
import { useBladesInHand } from './useBladesInHand'
import { useClash } from './useClash'
import { useHandOver } from './useHandOver'

/** How warm the head is, or how long it has rested. */
function headWords(view: JobView): string {
  const { temperature, rested } = view.state
  if (temperature)
    return t('use-bench-screen.head', {
      celsius: temperature.celsius,
      cold: isCold(view) ? t('use-bench-screen.cold') : '',
    })
  return rested ? t('use-bench-screen.parked-h', { hours: rested.hours }) : t('common.not-known')
}

/** What the Bench’s panel shows and what its answers record: the blade and turn chosen on the stage are put in. */
export function useBenchScreen(bench: ReturnType<typeof useBench>, jobId: number) {
  const session = useSessionStore()
  const outbox = useOutboxStore()
  const { view, next, log } = bench
  const panel = shallowRef<Panel>(KEYS)
  watch(
    () => next.value?.stage.kind,
    () => {
      if (goesWithStage(panel.value)) panel.value = KEYS
    },
  )
  const hand = useBladesInHand(bench)
  const handOver = useHandOver(bench)
  const isOpen = computed(() => view.value?.state.status === 'open')
  const keys = computed(() => next.value?.keys ?? [])

  async function record(happening: Happening): Promise<void> {
    panel.value = KEYS
    await bench.answer(happening)
  }
  /** Takes an answer back. A movement is asked after first: was it written wrongly, or turned back on the engine? */
  async function retract(event: JobEvent, how: 'recorded wrongly' | 'turned back' | null = null): Promise<void> {
    if (how === null && bench.isMovement(event)) panel.value = { kind: 'undo', event }
    else await record({ type: 'retracted', payload: { eventId: event.id, how: how ?? 'recorded wrongly' } })
  }
  const undo = (): Promise<void> | undefined => (bench.lastOwn.value ? retract(bench.lastOwn.value) : undefined)
  /** Takes back the answer that a clash or a reason names. */
  const retractId = (eventId: string): void => {
    const event = log.value.find(e => e.id === eventId)
    if (event) void retract(event)
  }
  const { clash, clashKeys } = useClash(bench, isOpen, {
    lookAgain: () => {
      panel.value = { kind: 'evidence' }
    },
    retractId,
  })

  async function press(index: number): Promise<void> {
    if (handOver.asked.value) return void handOver.press(index)
    if (clash.value && panel.value.kind === 'keys') return clashKeys.value[index]?.act()
    const key = keys.value[index]
    if (!key || panel.value.kind !== 'keys' || !isOpen.value) return
    if (key.happening) return record(asMade(key.happening, hand.inHand.value))
    if (key.asks === 'back') bench.wanted.value = null
    else if (key.asks && isOwnPanel(key.asks)) panel.value = { kind: key.asks }
    else if (key.asks) panel.value = { kind: 'ask', asks: key.asks }
  }

  const strip = computed(() => (view.value ? stripValves(view.value) : []))
  const saved = computed(() => {
    const [other] = bench.othersWaiting.value
    return savedWord({
      refused: outbox.refused.filter(w => w.jobId === jobId).length,
      unrecorded: bench.unrecorded.value !== null,
      expired: session.expired,
      offline: session.offline,
      toSend: bench.toSend.value,
      others: other ? { personName: other.personName, count: bench.othersWaiting.value.length } : null,
    })
  })
  /** The last answer that counts, in words. */
  const evidence = computed(() => {
    const last = log.value.findLast(
      e => e.type !== 'retracted' && e.type !== 'placed' && !view.value?.state.retracted.has(e.id),
    )
    return last && view.value ? tell(eventWords(view.value.pin, last)) : t('use-bench-screen.nothing-answered-yet')
  })

  /** An answer whose absence is being looked at on the wheel. */
  const without = ref<string | null>(null)
  watch([() => panel.value.kind, () => log.value.length], () => {
    without.value = null
  })
  const pictured = computed(() =>
    view.value && without.value !== null
      ? { ...view.value, position: positionWithout(view.value, without.value) }
      : view.value,
  )

  return {
    ...hand,
    without,
    pictured,
    clash,
    clashKeys,
    retractId,
    panel,
    keys,
    record,
    press,
    retract,
    undo,
    isOpen,
    activeValve: computed(() =>
      next.value && 'valveId' in next.value.stage ? next.value.stage.valveId : bench.wanted.value,
    ),
    strip,
    topMm: computed(() => scaleTopMm(strip.value)),
    settable: computed(() => (view.value && next.value ? settableValves(view.value, next.value) : [])),
    saved,
    handOver,
    evidence,
    head: computed(() => (view.value ? headWords(view.value) : t('common.not-known'))),
  }
}
export type BenchScreen = ReturnType<typeof useBenchScreen>
