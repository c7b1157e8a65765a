import { leavesOf, type Trial } from '../../feeler'
import { type Said, say, type Tell } from '../../said'
import { formatLength } from '../../units'
import { shiftWords } from '../aim'
import { expectedShift } from '../lock-learning'
import { doubtWords } from '../lock-torque'
import { setNamed } from '../pin'
import type { JobView } from '../view'

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
export function settingWords(view: JobView): Said[] {
  const { pin, state } = view
  if (!state.valves.some(v => v.tries.length > 0)) return []
  const shift = expectedShift(view)
  return [
    say('sheet.target', { target: say(`target.${state.target ?? pin.target}`) }),
    say('sheet.habit', { habit: say(`habit.${state.bladeHabit ?? pin.bladeHabit}`) }),
    ...(shift ? [say('sheet.lock', { shift: shiftWords(shift) })] : []),
  ]
}

/** With what the locknuts were torqued, and what was wrong with it. */
export function wrenchWords(view: JobView, tell: Tell): string | undefined {
  const { state } = view
  const all = state.valves.flatMap(v => v.torquedBy ?? [])
  return (
    [
      ...new Set(
        all.map(by =>
          [
            say('sheet.wrench', { settingNm: by.settingNm, wrench: by.wrench, adapter: by.adapter }),
            ...by.doubts.map(doubt => doubtWords(view, by, doubt)),
          ]
            .map(tell)
            .join('. '),
        ),
      ),
    ].join('; ') || undefined
  )
}
