import { type Clearance, type Engine, type OtherClearance, type Role, ROLES } from '../engine'
import { spanOf, spanWords } from '../feeler'
import { type Said, say } from '../said'
import type { WorkState } from './state'

/** Two figures are one spec in two roundings when they differ by no more than this: 6 thou and 0.15 mm. */
const ROUNDING_MM = 0.005

/** Figures that are printed for a role beside the spec's own and do not say the same. */
export function disagreeing(
  { clearance, otherClearances }: Pick<Engine, 'clearance' | 'otherClearances'>,
  role: Role,
): OtherClearance[] {
  const own = spanOf(clearance[role])
  return otherClearances
    .filter(other => other.role === role)
    .filter(({ clearance: c }) => {
      const { minMm, maxMm } = spanOf(c)
      return Math.abs(minMm - own.minMm) > ROUNDING_MM || Math.abs(maxMm - own.maxMm) > ROUNDING_MM
    })
}

/** Roles for which two figures disagree and no lead has settled which one stands. */
export const unsettledRoles = (engine: Engine, { figures }: Pick<WorkState, 'figures'>): Role[] =>
  ROLES.filter(role => !figures[role] && disagreeing(engine, role).length > 0)

/** A clearance with both units: "0.10–0.14 mm (3.9–5.5 thou)". */
export function clearanceWords(clearance: Clearance): string {
  const { value, more } = spanWords(clearance)
  return `${value} (${more})`
}

/**
 * Whether a figure may stand for a role where two are printed: it must lie between them, ends included.
 * @returns null, or why not and what to do
 */
export function figureRefused(engine: Engine, role: Role, clearance: Clearance): Said | null {
  const printed = [engine.clearance[role], ...disagreeing(engine, role).map(o => o.clearance)].map(spanOf)
  const [least, most] = [Math.min(...printed.map(s => s.minMm)), Math.max(...printed.map(s => s.maxMm))]
  const { minMm, maxMm } = spanOf(clearance)
  return minMm < least || maxMm > most
    ? say('figure.outside', { figure: clearanceWords(clearance), leastMm: least, mostMm: most })
    : null
}
