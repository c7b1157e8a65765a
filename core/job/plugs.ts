import type { Engine } from '../engine'
import { say, type Text } from '../said'
import { FigureError, parseLength, snapMm } from '../units'
import type { PlugNew } from './outcomes'
import type { JobPin } from './pin'
import type { WorkState } from './state'
import { partsToRemove, PLUG } from './strip-down'

/** How a plug looks of which nobody claims anything. */
export const NOT_LOOKED_AT = 'Not looked at'

/** The gap of an engine’s plugs, mm: its limits, and what it is set to. Their middle, where there are two. */
export interface GapOnRecord {
  text: string
  minMm: number
  maxMm: number
  setMm: number
}
/** The gap as the spec prints it: one figure, two with a dash, or one with ±; null where none can be read. */
export function plugGapOf({ plugGap }: Pick<Engine, 'plugGap'>): GapOnRecord | null {
  const unit = /thou|mm|in|["″]/i.exec(plugGap)?.[0] ?? 'mm'
  const value = (text: string): number => parseLength(/[a-z"″]/i.test(text) ? text : `${text} ${unit}`).mm
  const [, first, joint, second] = /^\s*([^–±-]+?)\s*(?:(–|-|±)\s*(.+?))?\s*$/.exec(plugGap) ?? []
  if (first === undefined) return null
  try {
    const one = value(first)
    const other = second === undefined ? one : value(second)
    if (joint === '±') return { text: plugGap, minMm: one - other, maxMm: one + other, setMm: one }
    return { text: plugGap, minMm: Math.min(one, other), maxMm: Math.max(one, other), setMm: snapMm((one + other) / 2) }
  } catch (error) {
    if (error instanceof FigureError) return null
    throw error
  }
}

/** Its plugs by name, one for each that is on record. */
export const plugsOf = (engine: Engine): string[] =>
  partsToRemove(engine)
    .filter(p => p.kind === 'spark plug')
    .map(p => p.name)

/** When each plug was last new, after a job: what it was opened with, and what was new at it. */
export function plugsAfter(pin: JobPin, { plugGaps }: Pick<WorkState, 'plugGaps'>): Record<string, PlugNew> {
  const date = pin.openedAt.slice(0, 10)
  const fresh = Object.entries(plugGaps).filter(([, { was }]) => was === 'new')
  return {
    ...pin.plugsNew,
    ...Object.fromEntries(fresh.map(([plug]) => [plug, { date, use: pin.machine.meter }])),
  }
}

/** Whole months from one day to another. */
const monthsBetween = (from: string, to: string): number => {
  const [a, b] = [new Date(from), new Date(to)]
  const whole = (b.getUTCFullYear() - a.getUTCFullYear()) * 12 + b.getUTCMonth() - a.getUTCMonth()
  return b.getUTCDate() < a.getUTCDate() ? whole - 1 : whole
}

/** How long a plug has served, against its service life; empty where neither is known. */
export function servedWords({ machine, spec, plugsNew, openedAt }: JobPin, plug: string): Text {
  const life = spec.engine.plugLife
  const since = plugsNew[plug]
  if (!since) return life ? say('plug.life', { life, unit: machine.meterUnit }) : ''
  const use = since.use !== null && machine.meter !== null ? machine.meter - since.use : null
  const months = monthsBetween(since.date, openedAt.slice(0, 10))
  const over = (life?.use != null && use !== null && use >= life.use) || (life?.months != null && months >= life.months)
  return say('plug.served', { date: since.date, use, months, unit: machine.meterUnit, life: life ?? null, over })
}

/** A plug by the name its part has; the one plug of a plain list has none. */
export const plugItem = (plug: string): { item?: string } => (plug === PLUG ? {} : { item: plug })
