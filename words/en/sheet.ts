import type { Role } from '../../core/engine'
import type { Feel } from '../../core/feeler'
import type { PlugGap } from '../../core/job/outcomes'
import type { Tell, Text } from '../../core/said'
import { fahrenheit, formatLength, formatMeter, type MeterUnit } from '../../core/units'
import { gapTold } from './answers'
import { capital, theValve, within } from './grammar'

interface Noted {
  note: string
}
const noted = (words: string, { note }: Noted, joint: string): string => words + (note ? `${joint}${note}` : '')

/** What the job sheet says of itself: it is signed in these words, and they stay. */
export const sheet = {
  'sheet.not-recorded': 'not recorded',
  'sheet.cold': ({ celsius, hours }: { celsius: number | null; hours: number | null }) =>
    [
      celsius !== null && `${celsius} °C, ${Math.round(fahrenheit(celsius))} °F`,
      hours !== null && `parked ${Number(hours.toFixed(1))} h`,
    ]
      .filter(Boolean)
      .join(', ') || 'not recorded',
  'sheet.by-the-manual': 'by the manual',
  'sheet.meter-not-read': 'not read',
  'sheet.first-visit': 'first visit on record',
  'sheet.since-last': ({ use, unit }: { use: number; unit: MeterUnit }) => `${formatMeter(use, unit)} since last`,
  'sheet.locknut': 'Locknut',
  'sheet.cover': 'Cover',
  'sheet.plug': 'Plug',
  'sheet.plug-look': ({ look }: { look: string }) => look,
  'sheet.plug-and-gap': ({ look, was, foundMm, leftMm }: PlugGap & { look: string }) =>
    `${look}; gap ${gapTold(was, foundMm, leftMm)}`,
  'sheet.spec-says': ({ part, spec }: { part: Text; spec: string }, tell: Tell) =>
    `${capital(tell(part))}: the spec says “${spec}”.`,
  'sheet.plug-not-read': 'not read',
  'sheet.gasket.new': (g: Noted) => noted('New gasket', g, ': '),
  'sheet.gasket.used again': (g: Noted) => noted('Gasket used again', g, ': '),
  'sheet.gasket.compound': (g: Noted) => noted('Compound', g, ': '),
  'sheet.run.clean': (r: Noted) => noted('Ran clean: no tick, no weep', r, '. '),
  'sheet.run.ticks': (r: Noted) => noted('Ran, ticks', r, '. '),
  'sheet.run.weeps': (r: Noted) => noted('Ran, weeps', r, '. '),
  'sheet.run.will not start': (r: Noted) => noted('Would not start', r, '. '),
  'sheet.not-run': 'not run',
  'sheet.switched': ({ from, to, by }: { from: number; to: number; by: string }) =>
    `Started with revision ${from}; ${by} switched to revision ${to} when it came into force.`,
  'sheet.figure': (
    { role, figure, reason, by }: { role: Role; figure: Text; reason: string; by: string },
    tell: Tell,
  ) => `${role === 'intake' ? 'Intake' : 'Exhaust'} ${tell(figure)}: ${reason}. ${by}.`,
  'sheet.again': (
    { valve, phase, blade, first, last }: { valve: string; phase: Text; blade: string; first: Feel; last: Feel },
    tell: Tell,
  ) => `${valve}, ${tell(phase)}: ${blade} ${first} at first, ${last} when tried again.`,
  'sheet.undone': ({ answer, by, mistake }: { answer: Text; by: string; mistake: boolean }, tell: Tell) =>
    `${tell(answer)}: ${mistake ? 'entered by mistake' : 'turned back on the engine'}, undone by ${by}.`,
  'sheet.shim.old': ({ engravedMm, measuredMm }: { engravedMm: number | null; measuredMm: number | null }) =>
    [
      engravedMm === null ? '' : `${formatLength(engravedMm, 'mm')} engraved`,
      measuredMm === null ? '' : `${formatLength(measuredMm, 'mm')} measured`,
    ]
      .filter(Boolean)
      .join(', '),
  'sheet.shim.not-changed': 'not changed',
  'sheet.shim.own': ({ mm }: { mm: number }) => `${formatLength(mm, 'mm')}, its own`,
  'sheet.shim.out-of': ({ mm, valve }: { mm: number; valve: string }) =>
    `${formatLength(mm, 'mm')} out of ${theValve(valve)}`,
  'sheet.shim.stock': ({ mm }: { mm: number }) => `${formatLength(mm, 'mm')} from the shelf`,
  'sheet.shim.bought': ({ mm }: { mm: number }) => `${formatLength(mm, 'mm')} bought`,
  'sheet.target': ({ target }: { target: Text }, tell: Tell) => `Target: ${within(tell(target))}.`,
  'sheet.habit': ({ habit }: { habit: Text }, tell: Tell) => `${tell(habit)}.`,
  'sheet.lock': ({ shift }: { shift: Text }, tell: Tell) => `On record, ${tell(shift)}.`,
  'sheet.wrench': ({ settingNm, wrench, adapter }: { settingNm: number; wrench: string; adapter: string | null }) =>
    `set to ${Number(settingNm.toFixed(2))} N·m on ${wrench}${adapter ? ` with ${adapter}` : ''}`,
  'sheet.up-to': ({ figure, most }: { figure: string; most: string }) => `${figure}, up to ${most}`,
  'sheet.place-unknown': 'not known',
  'sheet.none': 'none',
  'sheet.not-needed': 'not needed',
  'sheet.estimate': ({ words, by }: { words: string; by: string }) => `${words}, by ${by}`,
  'sheet.back': 'back',
  'sheet.out': 'out',
  'sheet.done': 'done',
  'sheet.not-ticked': 'not ticked',
}
