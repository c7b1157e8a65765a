import { MM_PER_INCH, mmFromThou, snapMm } from './length'
import { NEWTON_METRES } from './torque'

/** What a written unit measures. `other` is anything that no field holds. */
export type UnitKind = 'length' | 'torque' | 'temperature' | 'use' | 'months' | 'angle' | 'other'

/** 1 kgf·m = 9.80665 N·m exactly (NIST SP 811, appendix B). */
const KGF_M = 9.80665

export interface WrittenUnit {
  kind: UnitKind
  name: string
  /** How it is written: the source of a regular expression, in any case. */ shape: string
  /** Its value in mm, N·m, °C, months; use and angles as they are. */ of: (value: number) => number
}
const same = (value: number): number => value
const DOT = '\\s?[·•⋅.\\-–]?\\s?'
/** Longest first: “in-lb” before “in”. Spellings from memory of manuals, English and Spanish. */
export const WRITTEN_UNITS: readonly WrittenUnit[] = [
  {
    kind: 'torque',
    name: 'lbf·in',
    shape: `(?:in|inch)\\.?${DOT}(?:[lI1|]bf?s?|pounds?)\\b\\.?|[lI1|]bf?${DOT}in\\b\\.?`,
    of: v => v * NEWTON_METRES['lbf·in'],
  },
  {
    kind: 'torque',
    name: 'lbf·ft',
    shape: `(?:ft|foot|feet|pies?)\\.?${DOT}(?:[lI1|]bf?s?|libras?|pounds?)\\b\\.?|[lI1|]bf?${DOT}(?:ft|pies?)\\b\\.?|libras?${DOT}pies?\\b`,
    of: v => v * NEWTON_METRES['lbf·ft'],
  },
  { kind: 'torque', name: 'kgf·m', shape: `kgf?${DOT}m\\b|mkg\\b|mkp\\b`, of: v => v * KGF_M },
  { kind: 'torque', name: 'kgf·cm', shape: `kgf?${DOT}cm\\b`, of: v => (v * KGF_M) / 100 },
  { kind: 'torque', name: 'N·m', shape: `N${DOT}m\\b|newtons?[\\s-]?met(?:er|re|ro)s?\\b`, of: same },
  { kind: 'length', name: 'mm', shape: 'mm\\b|millimet(?:er|re)s?\\b|mil[íi]metros?\\b', of: snapMm },
  { kind: 'length', name: 'thou', shape: 'thou\\b|mils?\\b|mil[ée]simas?(?: de pulgada)?\\b', of: mmFromThou },
  {
    kind: 'length',
    name: 'in',
    shape: '(?:in|inch|inches|pulg|pulgadas?)\\b\\.?|["″”]',
    of: v => snapMm(v * MM_PER_INCH),
  },
  { kind: 'temperature', name: '°C', shape: '[°º˚]\\s?C\\b|degrees? C(?:elsius)?\\b', of: same },
  { kind: 'temperature', name: '°F', shape: '[°º˚]\\s?F\\b|degrees? F(?:ahrenheit)?\\b', of: v => ((v - 32) * 5) / 9 },
  { kind: 'angle', name: '°', shape: '[°º˚]|deg(?:rees?)?\\b\\.?|grados?\\b', of: same },
  { kind: 'use', name: 'km', shape: 'km\\b|kilomet(?:er|re)s?\\b|kil[óo]metros?\\b', of: same },
  { kind: 'use', name: 'mi', shape: 'mi(?:les?|llas?)?\\b\\.?', of: same },
  { kind: 'use', name: 'h', shape: '(?:operating |running |engine )?(?:h(?:ou)?rs?|hours?|h|horas?)\\b\\.?', of: same },
  { kind: 'months', name: 'months', shape: 'months?\\b|mes(?:es)?\\b', of: same },
  { kind: 'months', name: 'years', shape: 'years?\\b|a[ñn]os?\\b', of: v => v * 12 },
  {
    kind: 'other',
    name: '',
    shape:
      'cm(?:³|3|2|²)|cc\\b|rpm\\b|kPa\\b|bar\\b|psi\\b|kg\\b|g\\b|V\\b|Ah\\b|A\\b|W\\b|kW\\b|hp\\b|[lL]\\b|qt\\b|ml\\b|%|Hz\\b|cm\\b|m\\b|:\\d',
    of: same,
  },
]
