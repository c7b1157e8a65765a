import { computed, ref, watch, type ComputedRef } from 'vue'
import {
  clearanceOf,
  type AnswerKey,
  type ClashWords,
  clashWords,
  eventWords,
  type Happening,
  isCold,
  type JobEvent,
  latestReading,
  latestVerdict,
  needsSetting,
  positionWithout,
  setInHand,
  targetFor,
  turnWords,
  valveNames,
} from '~~/core/job'
import { countedAsIn, engravedWords, intervalWords, leavesOf, stackNamed, thickness } from '~~/core/feeler'
import { formatLength, thouFromMm } from '~~/core/units'
import type { Field } from '../components/bench/AskForm.vue'
import type { StripValve } from '../components/bench/ValveStrip.vue'
import { useHandOver } from './useHandOver'
import { useOutboxStore } from '../stores/outbox'
import { useSessionStore } from '../stores/session'
import type { useBench } from './useBench'

export type Panel =
  | {
      kind:
        | 'keys'
        | 'blade'
        | 'more'
        | 'log'
        | 'help'
        | 'evidence'
        | 'reasons'
        | 'school'
        | 'sets'
        | 'wrench'
        | 'ways'
        | 'photos'
        | 'figure'
        | 'shim-read'
        | 'shim-size'
        | 'newer'
    }
  | { kind: 'ask'; asks: Field }
  | { kind: 'undo'; event: JobEvent }

const clashKey = (clash: ClashWords): string => [clash.newestId, clash.newest, ...clash.against.map(f => f.id)].join()

/** What the Bench's panel shows and what its answers record: the blade and turn chosen on the stage are put in. */
export function useBenchScreen(bench: ReturnType<typeof useBench>, jobId: number) {
  const session = useSessionStore()
  const outbox = useOutboxStore()
  const panel = ref<Panel>({ kind: 'keys' })
  /** The blades on each other that the next trial is made with, by their engravings, and whether a tap adds to them. */
  const blades = ref<number[] | null>(null)
  const stacking = ref(false)
  const turnDeg = ref<number | null>(null)
  const view = bench.view
  const next = bench.next

  // a chosen blade stays chosen while the answer before it is written down and sent: only a new instruction or answer lets go of it
  watch(
    [() => next.value?.instruction, () => bench.log.value.length],
    () => {
      blades.value = next.value?.trial?.stack.engravedMm ?? null
      stacking.value = false
      turnDeg.value = next.value?.trial?.after?.kind === 'screw' ? next.value.trial.after.deg : null
    },
    { immediate: true },
  )

  // a panel that belongs to a picture goes with it
  watch(
    () => next.value?.stage.kind,
    () => {
      if (['figure', 'shim-read', 'shim-size'].includes(panel.value.kind)) panel.value = { kind: 'keys' }
    },
  )

  const chosen = (happening: Happening): Happening => {
    if (happening.type !== 'trial') return happening
    const { after, ...trial } = happening.payload
    return {
      type: 'trial',
      payload: {
        ...trial,
        bladesMm: blades.value ?? trial.bladesMm,
        after: after?.kind === 'screw' ? { kind: 'screw', deg: turnDeg.value ?? after.deg } : after,
      },
    }
  }
  const keys: ComputedRef<AnswerKey[]> = computed(() => next.value?.keys ?? [])
  const instruction = computed(() => {
    const { instruction: words = '', trial } = next.value ?? {}
    if (!trial) return words
    const { unit } = setInHand(view.value!)
    const own =
      blades.value !== null
        ? words.replace(engravedWords(trial.stack.engravedMm, unit), engravedWords(blades.value, unit))
        : words
    return trial.after?.kind === 'screw' && turnDeg.value !== null
      ? own.replace(turnWords(trial.after.deg), turnWords(turnDeg.value))
      : own
  })

  const handOver = useHandOver(bench)
  async function record(happening: Happening): Promise<void> {
    panel.value = { kind: 'keys' }
    await bench.answer(happening)
  }
  async function press(index: number): Promise<void> {
    if (handOver.asked.value) return void handOver.press(index)
    if (clash.value && panel.value.kind === 'keys') return clashKeys.value[index]?.act()
    const key = keys.value[index]
    if (!key || panel.value.kind !== 'keys' || !isOpen.value) return
    if (key.asks === 'school') panel.value = { kind: 'school' }
    else if (key.asks === 'back') bench.wanted.value = null
    else if (key.asks === 'figure' || key.asks === 'shim-read' || key.asks === 'shim-size')
      panel.value = { kind: key.asks }
    else if (key.asks) panel.value = { kind: 'ask', asks: key.asks }
    else if (key.happening) await record(chosen(key.happening))
  }

  function chooseBlade(step: -1 | 1): void {
    if (!blades.value || !view.value) return
    const leaves = leavesOf(setInHand(view.value))
    const thick = chosenStack.value?.totalMm ?? 0
    // from a stack, on to the single blade next to it in thickness
    const to = step > 0 ? leaves.find(l => l.mm > thick) : leaves.findLast(l => l.mm < thick)
    if (to) blades.value = [to.engravedMm]
  }
  /** A tap takes one blade, or while stacking adds it to those in hand, three at most. */
  function tapBlade(engravedMm: number): void {
    const held = blades.value ?? []
    if (!stacking.value) blades.value = [engravedMm]
    else if (held.includes(engravedMm)) blades.value = held.length > 1 ? held.filter(b => b !== engravedMm) : held
    else if (held.length < 3) blades.value = [...held, engravedMm].sort((a, b) => b - a)
  }
  const chosenStack = computed(() =>
    view.value && blades.value ? stackNamed(setInHand(view.value), blades.value) : null,
  )

  /** Takes an answer back. A movement is asked after first: was it written wrongly, or turned back on the engine? */
  async function retract(event: JobEvent, how: 'recorded wrongly' | 'turned back' | null = null): Promise<void> {
    if (how === null && bench.isMovement(event)) panel.value = { kind: 'undo', event }
    else await record({ type: 'retracted', payload: { eventId: event.id, how: how ?? 'recorded wrongly' } })
  }
  const undo = (): Promise<void> | undefined => (bench.lastOwn.value ? retract(bench.lastOwn.value) : undefined)

  const isOpen = computed(() => view.value?.state.status === 'open')
  const activeValve = computed(() =>
    next.value && 'valveId' in next.value.stage ? next.value.stage.valveId : bench.wanted.value,
  )

  const strip = computed<StripValve[]>(
    () =>
      view.value?.state.valves.map((valve): StripValve => {
        const { pin } = view.value!
        const reading = latestReading(valve)
        const judged = latestVerdict(pin, valve)
        const { minMm, maxMm } = countedAsIn(clearanceOf(pin, valve.valveId), setInHand(view.value!))
        const limits = { minMm, maxMm }
        const span = (f: (mm: number) => string) =>
          limits.minMm === limits.maxMm ? f(limits.minMm) : `${f(limits.minMm)}–${f(limits.maxMm)}`
        const interval = reading ? judged.reading : null
        const hi = interval?.hiMm ?? null
        const thou = (mm: number) => thouFromMm(mm).toFixed(1)
        return {
          ...limits,
          valveId: valve.valveId,
          name: valveNames(pin.spec.engine)[valve.valveId] ?? valve.valveId,
          targetMm: targetFor(view.value!, valve.valveId),
          verdict: reading ? judged.verdict : 'not measured',
          reading: interval,
          lookAgain: valve.lookAgain,
          asLeft: pin.lastAsLeft?.readings[valve.valveId] ?? null,
          trials: (reading?.trials ?? []).map(t => ({ mm: thickness(t), feel: t.feel })),
          caution: reading ? (judged.cautions[0] ?? '') : '',
          words: interval
            ? `${intervalWords(interval)}${valve.phase === 'as found' ? '' : `, ${reading!.phase}`}`
            : `Spec ${span(v => formatLength(v, 'mm'))} mm`,
          other: interval
            ? hi === null
              ? `${thou(interval.loMm)} thou or more`
              : interval.loMm > 0
                ? `${thou(interval.loMm)}–${thou(hi)} thou`
                : `under ${thou(hi)} thou`
            : `${span(thou)} thou`,
        }
      }) ?? [],
  )
  /** One scale for all valves of the job, longer when a spec or a reading needs it. */
  const topMm = computed(() =>
    Math.max(
      0.2,
      ...strip.value.map(v => Math.ceil((Math.max(v.maxMm, v.reading?.hiMm ?? v.reading?.loMm ?? 0) + 0.03) * 20) / 20),
    ),
  )

  const settable = computed(
    () =>
      view.value?.state.valves
        .filter(
          v =>
            next.value &&
            ['set', 'prove'].includes(next.value.step) &&
            v.nut === 'locked' &&
            !v.setChosen &&
            !needsSetting(view.value!, v),
        )
        .map(v => ({ valveId: v.valveId, name: valveNames(view.value!.pin.spec.engine)[v.valveId] ?? '' })) ?? [],
  )

  const saved = computed((): { word: string; tone: 'ok' | 'wait' | 'stop' } => {
    const refused = outbox.refused.filter(w => w.jobId === jobId).length
    if (refused) return { word: `${refused} not taken`, tone: 'stop' }
    if (bench.unrecorded.value) return { word: 'Not saved', tone: 'stop' }
    if (session.expired) return { word: `Sign in to send ${bench.toSend.value}`, tone: 'stop' }
    if (bench.toSend.value)
      return session.offline
        ? { word: `Kept here, ${bench.toSend.value} to send`, tone: 'wait' }
        : { word: 'Saving', tone: 'wait' }
    const [other] = bench.othersWaiting.value
    if (other) return { word: `${other.personName}’s ${bench.othersWaiting.value.length} not sent`, tone: 'wait' }
    return session.offline ? { word: 'No server, nothing lost', tone: 'wait' } : { word: 'Saved', tone: 'ok' }
  })

  const evidence = computed(() => {
    const last = bench.log.value.findLast(
      e => e.type !== 'retracted' && e.type !== 'placed' && !view.value?.state.retracted.has(e.id),
    )
    return last && view.value ? eventWords(view.value.pin, last) : 'Nothing answered yet'
  })
  const head = computed(() => {
    const { temperature, rested } = view.value?.state ?? {}
    const cold = view.value && isCold(view.value) ? ' cold' : ''
    return temperature ? `${temperature.celsius} °C${cold}` : rested ? `rested ${rested.hours} h` : 'not known'
  })

  /** An answer whose absence is being looked at on the wheel. */
  const without = ref<string | null>(null)
  watch([() => panel.value.kind, () => bench.log.value.length], () => {
    without.value = null
  })
  const pictured = computed(() =>
    view.value && without.value !== null
      ? { ...view.value, position: positionWithout(view.value, without.value) }
      : view.value,
  )
  /** A clash that was seen and let stand is not shown again. */
  const letStand = ref('')
  const clash = computed(() => {
    if (!view.value || !next.value || !isOpen.value || !['find', 'measure', 'set', 'prove'].includes(next.value.step))
      return null
    const words = clashWords(view.value)
    return words && clashKey(words) !== letStand.value ? words : null
  })
  /** What can be done about a clash: look again at the cheaper, take one back, or let both stand. */
  const clashKeys = computed((): { title: string; help: string; act: () => void }[] => {
    const words = clash.value
    if (!words) return []
    return [
      ...(words.lookAgain
        ? [
            {
              title: 'Look again',
              help: words.lookAgain,
              act: () => {
                panel.value = { kind: 'evidence' }
              },
            },
          ]
        : []),
      { title: 'Take the newest back', help: words.newest, act: () => retractId(words.newestId) },
      ...words.against
        .slice(0, 1)
        .filter(f => !view.value?.state.retracted.has(f.id))
        .map(f => ({ title: 'Take the earlier back', help: f.words, act: () => retractId(f.id) })),
      {
        title: 'Let both stand',
        help: 'the belief weighs them',
        act: () => {
          letStand.value = clashKey(words)
        },
      },
    ]
  })
  /** Takes back the answer that a clash or a reason names. */
  const retractId = (eventId: string) => {
    const event = bench.log.value.find(e => e.id === eventId)
    if (event) void retract(event)
  }

  return {
    without,
    pictured,
    clash,
    clashKeys,
    retractId,
    panel,
    blades,
    stacking,
    chosenStack,
    tapBlade,
    turnDeg,
    keys,
    instruction,
    record,
    press,
    chooseBlade,
    retract,
    undo,
    isOpen,
    activeValve,
    strip,
    topMm,
    settable,
    saved,
    handOver,
    evidence,
    head,
  }
}
