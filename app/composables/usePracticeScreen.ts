import { computed, ref, shallowRef, watch } from 'vue'
import { feelOf, isDone, leastAnswers, type MarkedStage, marksSeen, type PracticeStart } from '~~/core/practice'
import { ownWords } from '../practice/own-words'
import { practicePanel, stageOf, wantedInHand } from '../practice/panel'
import { t, tell } from '../words'
import { type Tool, usePractice } from './usePractice'

const NONE: Record<MarkedStage, number> = { find: 0, measure: 0, set: 0, prove: 0 }
/** A hand that rests so long has let the crank go, ms. */
const RESTS_MS = 450
/** A robot's whole job is reckoned once the engine is on the screen, ms. */
const SHOWN_FIRST_MS = 50

/** A practice run with what its screen shows and what its keys do. */
export function usePracticeScreen() {
  const practice = usePractice()
  const { run, crankDeg, tool, valveId, bladesMm, bladeIn, marked, rules, engine, next, leads } = practice
  const running = (): boolean => run.value !== null && marked.value === null

  const least = shallowRef(NONE)
  const moves = ref({ ...NONE })
  function begin(start: PracticeStart): void {
    practice.begin(start)
    least.value = NONE
    moves.value = { ...NONE }
    setTimeout(() => {
      least.value = leastAnswers(start)
    }, SHOWN_FIRST_MS)
  }

  let settling: ReturnType<typeof setTimeout> | undefined
  function turn(deg: number): void {
    if (bladeIn.value || !running()) return
    practice.work({ kind: 'turn', deg })
    clearTimeout(settling)
    settling = setTimeout(letGo, RESTS_MS)
  }
  /** Past compression it kicks on by itself when it is let go. */
  function letGo(): void {
    clearTimeout(settling)
    if (!running() || bladeIn.value) return
    const kick = feelOf(run.value!.drawn.virtual, { kind: 'crank' }).kickDeg
    if (kick > 0) practice.work({ kind: 'turn', deg: kick })
  }

  const cylinderId = computed(() => engine.value?.valves.find(v => v.id === valveId.value)?.cylinderId ?? '')
  const virtual = computed(() => run.value?.drawn.virtual ?? null)
  const rodFeel = computed(() => {
    void crankDeg.value
    return virtual.value && cylinderId.value
      ? feelOf(virtual.value, { kind: 'rod', cylinderId: cylinderId.value })
      : null
  })
  const own = computed(() => {
    void practice.version.value
    if (!run.value || !engine.value || !rules.value) return null
    return ownWords(engine.value, tool.value, valveId.value, {
      turnedDeg: run.value.turnedDeg,
      sinceLockDeg: run.value.sinceLockDeg,
      window: rules.value.window,
      rod: rules.value.rod,
      downMm: rodFeel.value?.belowTopMm ?? 0,
    })
  })
  const done = computed(() => Boolean(run.value && next.value && isDone(run.value.start, next.value)))
  const panel = computed(() => {
    const what = done.value ? (run.value!.start.drill ? 'drill' : 'all') : null
    return practicePanel(next.value, leads.value, own.value, tool.value, what)
  })
  const stageNow = computed(() => (marked.value ? null : stageOf(next.value)))

  function answer(index: number): void {
    if (!run.value || done.value) return
    if (leads.value && next.value?.stage.kind === 'cold') {
      if (index === 1) practice.work({ kind: 'wait', hours: 1 })
      return practice.work({ kind: 'warmth' })
    }
    if (!leads.value && tool.value === 'blade') return practice.sayFeel(practice.FEELS[index]!)
    const key = panel.value.keys[index]
    if (key?.asks === 'shim-read') {
      const at = next.value && 'valveId' in next.value.stage ? next.value.stage.valveId : valveId.value
      return practice.say({ type: 'shim-read', payload: { valveId: at, engravedMm: 1, measuredMm: 1 } })
    }
    if (key?.happening) practice.say(key.happening)
  }
  /** Answers, and counts it for its stage where it was taken. */
  function press(index: number): void {
    const at = stageNow.value
    const before = run.value?.log.length ?? 0
    answer(index)
    if (at && (run.value?.log.length ?? 0) > before) moves.value = { ...moves.value, [at]: moves.value[at] + 1 }
  }

  /** Where the Bench leads, it hands over the tool that its next thing wants, once for each thing asked. */
  watch(
    [() => run.value?.log.length, () => run.value?.start, leads, () => JSON.stringify(next.value?.instruction)],
    () => {
      if (!next.value || !run.value || !leads.value) return
      const wanted = wantedInHand(next.value, run.value, rules.value?.window ?? true)
      tool.value = wanted.tool ?? tool.value
      valveId.value = wanted.valveId ?? valveId.value
      if (wanted.bladesMm && wanted.bladesMm.join() !== bladesMm.value.join()) bladesMm.value = wanted.bladesMm
    },
  )

  const toolWords = computed<Record<Tool, string>>(() => {
    void practice.version.value
    if (!run.value || !virtual.value || !rules.value)
      return { crank: '', window: '', rockers: '', rod: '', blade: '', screw: '' }
    const line = marksSeen(virtual.value).find(m => m.atPointer)
    return {
      crank: bladeIn.value ? t('use-practice-screen.held-by-the-blade') : t('use-practice-screen.or-drag'),
      window: !rules.value.window
        ? t('common.covered')
        : line
          ? t('use-practice-screen.line-at', { letter: line.letter })
          : t('use-practice-screen.no-line-at-it'),
      rockers: t('use-practice-screen.felt-here', { size: run.value.wiggled.size }),
      rod: rules.value.rod ? tell(rodFeel.value?.words ?? '') : t('use-practice-screen.not-on-this-level'),
      blade: bladeIn.value
        ? t('use-practice-screen.in-the-gap')
        : t('use-practice-screen.in-hand', { bladesMm: bladesMm.value.map(b => b.toFixed(2)).join(' + ') }),
      screw: t('use-practice-screen.nut', { nuts: virtual.value.nuts[valveId.value] ?? 'locked' }),
    }
  })
  return { ...practice, running, begin, least, moves, turn, letGo, cylinderId, done, panel, stageNow, press, toolWords }
}
