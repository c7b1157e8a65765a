import type { Tell, Text } from '../../core/said'
import { formatMeter, formatTorque, type MeterUnit } from '../../core/units'
import { capital, day, theValve } from './grammar'

type Part = 'cover' | 'plug'
interface Torque {
  torqueNm: number
}

/** The Close step, and when the machine comes back. */
export const closing = {
  'two-devices.label': 'Two devices',
  'two-devices': 'Was this before or after the move?',
  'two-devices.why': ({ person, answer }: { person: string; answer: Text }, tell: Tell) =>
    `${person}: ${tell(answer)}. Meanwhile the other device moved the crank or a screw.`,
  'key.before': 'Before',
  'key.before.help': 'it counts where you felt it',
  'key.after': 'After',
  'key.after.help': 'it counts after the move',
  'key.leave-out': 'Leave it out',
  'key.leave-out.help': 'it doesn’t count',

  'out.label': 'Rags out',
  'out': ({ item }: { item: string }) => `Take out: ${item}`,
  'out.why': 'A rag left in an intake goes through the engine.',
  'key.out': 'It’s out',
  'key.out.help': 'seen and counted',

  'refit.label': 'Refit',
  'refit': ({ item }: { item: Text }, tell: Tell) => `Put back: ${tell(item)}`,
  'refit.plug.why': 'Start it by hand: it must turn in easily for several turns before a wrench goes on.',
  'refit.why': 'Start the awkward bolt by hand first; tighten none before all are in.',
  'key.back': 'It’s back',
  'key.back.help': 'fastened',
  'key.leave-off': 'Leave it off',

  'gasket.label': 'Gasket',
  'gasket': 'Which gasket goes on the cover?',
  'gasket.why': ({ gasket }: { gasket: string }) => `The spec says: ${gasket}. Clean the faces first.`,
  'gasket.why.none': 'The spec doesn’t say. Clean the faces first.',
  'gasket.key.new': 'A new one',
  'gasket.key.new.help': 'seated all around',
  'gasket.key.used again': 'The old one',
  'gasket.key.used again.help': 'sound, used again',
  'gasket.key.compound': 'Compound',
  'gasket.key.compound.help': 'left to skin first',

  'tighten.cover.label': 'Cover bolts',
  'tighten.plug.label': 'Plug',
  'tighten.evenly': ({ part }: { part: Part }) => `Tighten the ${part} evenly`,
  'tighten.torque': ({ part, torqueNm }: Torque & { part: Part }) =>
    `Torque the ${part} to ${Number(torqueNm.toFixed(1))} N·m`,
  'tighten.evenly.why': 'The spec gives no torque: go by the maker’s manual. Too tight cracks or strips.',
  'tighten.cover.why': ({ torqueNm, pattern }: Torque & { pattern: string }) =>
    `${formatTorque(torqueNm)}, ${pattern || 'crosswise'}, a little at a time.`,
  'tighten.plug.why': ({ torqueNm }: Torque) => `${formatTorque(torqueNm)}, each wire on its own plug.`,
  'key.done': 'Done',
  'key.done.even': 'even and firm',
  'key.done.wrench': 'with the wrench',
  'key.not-done': 'Not done',

  'run.label': 'Run it',
  'run': 'Run it outdoors a few minutes',
  'run.why': 'It should start and idle with no tick and no weep. Check caps and bolts again after.',
  'run.key.clean': 'Runs clean',
  'run.key.clean.help': 'no tick, no weep',
  'run.key.ticks': 'It ticks',
  'run.key.ticks.help': 'tell the owner',
  'run.key.weeps': 'It weeps',
  'run.key.weeps.help': 'cover or cap',
  'run.key.will not start': 'Won’t start',
  'run.key.will not start.help': 'write it down after',

  'due.label': 'Next check',
  'due': 'When is the next check due?',
  'due.tell-owner': 'Tell the owner.',
  'due.no-interval': 'The spec gives no interval. Choose what you will tell the owner.',
  'due.by-interval': 'By the spec’s interval, whichever comes first. Tell the owner.',
  'due.at': ({ use, date, unit }: { use: number | null; date: string | null; unit: MeterUnit }) =>
    [use !== null && formatMeter(use, unit), date !== null && day(Date.parse(date))].filter(Boolean).join(' or ') ||
    'no date',
  'key.due.sooner': 'sooner: a valve may be out',
  'key.due.by-spec': 'by the spec',
  'key.another-date': 'Another date',
  'key.choose-day': 'Choose a date',
  'key.choose-day.help': 'months from now, or a day',
  'key.type-it': 'type it',
  'key.none': 'None',
  'key.none.help': 'no date promised',

  'sign.label': 'All done',
  'sign': 'Sign and close the job',
  'sign.why': 'The sheet is kept as it is signed. Only a lead can open it again.',
  'key.sign': 'Sign and close',
  'key.sign.help': 'the sheet is made',
  'key.add-note': 'Add a note',
  'key.add-note.help': 'for the sheet',

  /** When a machine is due and why, from its history. */
  'when.use': ({ use, unit, replaced }: { use: number; unit: MeterUnit; replaced: boolean }) =>
    `${formatMeter(Math.round(use), unit)}${replaced ? ' in all' : ''}`,
  'when.use-and-day': ({
    use,
    unit,
    replaced,
    atMs,
  }: {
    use: number
    unit: MeterUnit
    replaced: boolean
    atMs: number
  }) => `${formatMeter(Math.round(use), unit)}${replaced ? ' in all' : ''}, about ${day(atMs)}`,
  'when.day': ({ atMs }: { atMs: number }) => day(atMs),
  'cause.first-check': 'First check',
  'cause.use': ({ use, unit }: { use: number; unit: MeterUnit }) => `Every ${formatMeter(use, unit)}`,
  'cause.year': 'Once a year',
  'cause.months': ({ months }: { months: number }) => `Every ${months} months`,
  'cause.forecast': ({ valve }: { valve: string }) => `${valve}, forecast`,
  'due.why.nothing': 'No interval and no forecast yet.',
  'due.why.forecast': ({ valve, now }: { valve: string; now: boolean }) =>
    `${capital(theValve(valve))} may be out ${now ? 'by now' : 'by then'}. The maker’s interval would be too late.`,
  'due.why.first-check': 'The maker asks for an early first check.',
  'due.why.use-unknown': 'By the maker’s interval. How much it is used is not known yet.',
  'due.why.use': 'By the maker’s interval, at the rate it is used.',
  'due.why.months': 'By the maker’s interval: the date comes before the hours or miles.',
  'days': ({ days }: { days: number }) => {
    if (days === 0) return 'today'
    const n = Math.abs(days)
    return days < 0 ? `${n === 1 ? '1 day' : `${n} days`} over` : n === 1 ? 'tomorrow' : `in ${n} days`
  },
  'drift.no-visit': 'Not enough yet: no visit is on record.',
  'drift.one-visit': 'Not enough yet: one visit, and drift needs two.',
  'drift.one-sided': 'Not enough yet: one reading was open on one side, so it only limits the drift.',
  'drift.no-meter': 'Not enough yet: the meter was not read at both visits.',
  'drift.not-proved': 'Not enough yet: this valve was not left proved at one visit and measured at the next.',
}
