import { computed, ref, shallowRef, triggerRef } from 'vue'
import type { Feel } from '~~/core/feeler'
import { type Happening, jobTools, type NextThing } from '~~/core/job'
import {
  type Act,
  act,
  beginPractice,
  believedMm,
  benchSays,
  feelOf,
  type Marked,
  markRun,
  type PracticeRun,
  type PracticeStart,
  type Replayed,
  replayRun,
  rulesOf,
} from '~~/core/practice'
import { t } from '../words'
import { useAdvice } from './useAdvice'

export type Tool = 'crank' | 'window' | 'rockers' | 'rod' | 'blade' | 'screw'

const FEELS: Feel[] = ['free', 'drag', 'pinched', 'no-go']

/**
 * One practice run in the browser: the hidden engine, the tool in hand, what may be answered, and at the end the marks.
 */
export function usePractice() {
  const weigh = useAdvice()
  const run = shallowRef<PracticeRun | null>(null)
  const crankDeg = ref(0)
  const tool = ref<Tool>('crank')
  const valveId = ref('')
  const bladesMm = ref<number[]>([])
  const hinted = ref(false)
  const marked = shallowRef<Marked | null>(null)
  /** The run over again, for the truth to be laid over what was believed. */
  const steps = shallowRef<Replayed[]>([])
  const startedMs = ref(0)
  const seconds = ref(0)
  const told = ref('')
  /** Counts what was done: the engine is changed in place, and what shows it looks again. */
  const version = ref(0)

  function begin(start: PracticeStart): void {
    const begun = beginPractice(start, drawn => jobTools(drawn.pin, weigh))
    run.value = begun
    crankDeg.value = begun.drawn.virtual.crankDeg
    valveId.value = start.kind.engine.valves[0]!.id
    bladesMm.value = [begun.drawn.pin.bladeSet.blades[Math.floor(begun.drawn.pin.bladeSet.blades.length / 2)]!.mm]
    tool.value = 'crank'
    hinted.value = false
    marked.value = null
    told.value = ''
    startedMs.value = Date.now()
  }

  /** Does something at the engine. What moves the crank only is shown at once and changes nothing that was said. */
  function work(doing: Act): void {
    if (!run.value) return
    act(run.value, doing)
    crankDeg.value = run.value.drawn.virtual.crankDeg
    version.value++
    if (doing.kind !== 'turn') triggerRef(run)
  }

  const rules = computed(() => (run.value ? rulesOf(run.value.start.level) : null))
  const engine = computed(() => run.value?.start.kind.engine ?? null)
  const next = computed<NextThing | null>(() => (run.value ? benchSays(run.value) : null))
  /** A blade that is in the gap holds the crank. */
  const bladeIn = ref(false)
  const leads = computed(
    () => run.value?.start.guidance === 'on' || (run.value?.start.guidance === 'on demand' && hinted.value),
  )

  /** Says something, and does what cannot be parted from saying it. */
  function say(happening: Happening): void {
    if (!run.value) return
    told.value = ''
    if (happening.type === 'trial' && !run.value.slid[happening.payload.valveId]) {
      told.value = t('use-practice.slide-the-blade-in-first')
      return
    }
    const seen = run.value.drawn.virtual.shimMm[valveId.value] ?? 0
    const really: Happening =
      happening.type === 'shim-read'
        ? {
            ...happening,
            payload: { ...happening.payload, engravedMm: Math.round(seen * 100) / 100, measuredMm: seen },
          }
        : happening
    work({ kind: 'said', type: really.type, payload: really.payload })
    hinted.value = false
  }

  function hint(): void {
    if (!run.value || hinted.value) return
    work({ kind: 'hint' })
    hinted.value = true
  }

  /** What the blades in hand feel like in the chosen valve now. */
  const bladeFelt = () =>
    run.value &&
    feelOf(run.value.drawn.virtual, {
      kind: 'blade',
      valveId: valveId.value,
      engravedMm: bladesMm.value,
      thickMm: believedMm(run.value, bladesMm.value),
    })
  const sayFeel = (feel: Feel): void =>
    say({
      type: 'trial',
      payload: {
        valveId: valveId.value,
        bladesMm: bladesMm.value,
        set: run.value!.drawn.pin.bladeSet.name,
        feel,
        after: null,
      },
    })

  function finish(): void {
    if (!run.value) return
    seconds.value = Math.round((Date.now() - startedMs.value) / 1000)
    steps.value = replayRun(run.value.start, run.value.acts)
    marked.value = markRun(run.value.start, run.value.acts)
  }
  const leave = () => {
    run.value = null
    marked.value = null
  }

  return {
    run,
    crankDeg,
    tool,
    valveId,
    bladesMm,
    bladeIn,
    hinted,
    marked,
    steps,
    seconds,
    startedMs,
    told,
    version,
    rules,
    engine,
    next,
    leads,
    begin,
    work,
    say,
    sayFeel,
    hint,
    bladeFelt,
    finish,
    leave,
    FEELS,
  }
}
