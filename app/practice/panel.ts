import { FEELS } from '~~/core/feeler'
import type { AnswerKey, NextThing } from '~~/core/job'
import { MARKED_STAGES, type MarkedStage, type PracticeRun } from '~~/core/practice'
import type { Text } from '~~/core/said'
import type { Tool } from '../composables/usePractice'
import { t } from '../words'

/** What the panel beside a practice engine asks, and the keys that answer it. */
export interface PracticePanel {
  label: Text
  instruction: Text
  why: Text
  keys: AnswerKey[]
}

const told = (title: string, help: string): AnswerKey => ({ title, help, happening: null, asks: null })
const FEEL_KEYS: AnswerKey[] = FEELS.map(feel => told(t(`feel.${feel}`), t(`feel.${feel}.help`)))
const WARMTH_KEYS = [
  told(t('panel.thermometer-on-it'), t('panel.read-it')),
  told(t('common.let-it-stand-an-hour'), t('panel.then-read-again')),
]

/**
 * Where the Bench leads, its next thing with the keys that can be answered here: what opens a form on the Bench has no
 * place at a practice engine, but for a shim that is read. Where it does not, one's own words. What is done is handed
 * over.
 */
export function practicePanel(
  next: NextThing | null,
  leads: boolean,
  own: PracticePanel | null,
  tool: Tool,
  done: 'all' | 'drill' | null,
): PracticePanel {
  if (done)
    return {
      label: done === 'drill' ? t('panel.found') : t('panel.all-of-it-done'),
      instruction: t('panel.finish-and-mark-it'),
      why: t('panel.you-see-the-truth-beside'),
      keys: [],
    }
  if (leads && next?.stage.kind === 'cold')
    return {
      label: t('panel.before-anything'),
      instruction: t('panel.how-warm-is-the-head'),
      why: next.why,
      keys: WARMTH_KEYS,
    }
  if (leads && next) {
    const keys = next.keys.filter(k => k.happening || k.asks === 'shim-read')
    return { label: next.label, instruction: next.instruction, why: next.why, keys }
  }
  return { ...own!, keys: tool === 'blade' ? FEEL_KEYS : own!.keys }
}

/** What the Bench's next thing wants in the hand. `valveId` and `bladesMm` are null where it does not say. */
export interface InHand {
  tool: Tool | null
  valveId: string | null
  bladesMm: number[] | null
}

/** @param window whether this level shows the marks at all */
export function wantedInHand(thing: NextThing, run: PracticeRun, window: boolean): InHand {
  if (thing.trial) {
    const { after, stack, valveId } = thing.trial
    const toTurn = after !== null && run.sinceTrial[valveId]?.kind !== after.kind
    return { tool: toTurn ? 'screw' : 'blade', valveId, bladesMm: stack.engravedMm }
  }
  if (thing.stage.kind !== 'wheel')
    return { tool: null, valveId: 'valveId' in thing.stage ? thing.stage.valveId : null, bladesMm: null }
  const { feelValveIds, target, cylinderId } = thing.stage
  const ofCylinder = run.start.kind.engine.valves.find(v => v.cylinderId === cylinderId)?.id
  const byRod = !window || target?.kind === 'rod-drop' || target?.kind === 'piston-top'
  return {
    tool: feelValveIds.length ? 'rockers' : byRod ? 'rod' : 'crank',
    valveId: feelValveIds[0] ?? ofCylinder ?? null,
    bladesMm: null,
  }
}

/** The stage that an answer now counts for. */
export function stageOf(next: NextThing | null): MarkedStage {
  const step = next?.step
  return MARKED_STAGES.find(s => s === step) ?? (step === 'close' ? 'prove' : 'find')
}
