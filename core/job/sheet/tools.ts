import { leavesOf, type Trial } from '../../feeler'
import { formatLength } from '../../units'
import { shiftWords } from '../aim'
import { expectedShift } from '../lock-learning'
import { setNamed } from '../pin'
import type { JobView } from '../view'
import { HABIT_NAMES, TARGET_NAMES } from '../words'

const readingsIn = ({ state }: Pick<JobView, 'state'>): Trial[] =>
  state.valves.flatMap(v => v.readings.flatMap(r => r.trials))

/** Blades that were tried and are of no set on the shelf. */
export function strangeBlades({ pin, state }: JobView): string[] {
  const known = new Set([pin.bladeSet, ...pin.otherSets].flatMap(set => leavesOf(set).map(l => l.engravedMm)))
  return [
    ...new Set(
      readingsIn({ state })
        .flatMap(t => t.engravedMm ?? [])
        .filter(t => !known.has(t)),
    ),
  ]
    .sort((a, b) => a - b)
    .map(t => formatLength(t, 'mm'))
}

/** The sets that blades were taken from, the job's own first. */
export function setsUsed({ pin, state }: JobView): string[] {
  const used = [pin.bladeSet, ...pin.otherSets].filter(set => readingsIn({ state }).some(t => t.set === set.name))
  return used.length ? used.map(s => s.name) : [setNamed(pin, state.setName).name]
}

/** How the valves were set; nothing where none was. */
export function settingWords(view: JobView): string[] {
  const { pin, state } = view
  if (!state.valves.some(v => v.tries.length > 0)) return []
  const shift = expectedShift(view)
  return [
    `Target: ${TARGET_NAMES[state.target ?? pin.target].toLowerCase()}.`,
    `${HABIT_NAMES[state.bladeHabit ?? pin.bladeHabit]}.`,
    ...(shift ? [`On record, ${shiftWords(shift)}.`] : []),
  ]
}

/** With what the locknuts were torqued, and what was wrong with it. */
export function wrenchWords({ state }: JobView): string | undefined {
  const all = state.valves.flatMap(v => v.torquedBy ?? [])
  return (
    [
      ...new Set(
        all.map(by =>
          [
            `set to ${Number(by.settingNm.toFixed(2))} N·m on ${by.wrench}${by.adapter ? ` with ${by.adapter}` : ''}`,
            ...by.doubts,
          ].join('. '),
        ),
      ),
    ].join('; ') || undefined
  )
}
