import { type Engine, ROLES } from '../../engine'
import { say } from '../../said'
import { betweenRoles, bothTenfold, outside, tooWide, unitsDiffer } from './clearances'
import type { Doubt } from './doubt'
import { exchangedTiming, firing, makersList, openAtStops } from './stops-and-timing'
import { torques } from './torques'

export type { Slip } from './clearances'
export type { Doubt } from './doubt'
export { threadTorques } from './torques'

/** Lifters that take up their own slack have no clearance to set. */
function hydraulic({ valves }: Engine): Doubt[] {
  return valves.every(v => v.adjuster === 'none')
    ? [
        {
          id: 'hydraulic',
          field: 'intakeBy' as const,
          says: say('doubt.hydraulic'),
          readings: [say('doubt.hydraulic.measured'), say('doubt.hydraulic.screw')],
        },
      ]
    : []
}

/**
 * What in a spec may be a slip, each with both readings. An empty list says that nothing looked odd, not that the page
 * was read rightly.
 * @param engine data that the schema has taken
 */
export function doubtsOf(engine: Engine): Doubt[] {
  const { clearance, alsoPrinted } = engine
  const ranges = ROLES.flatMap(role => outside(role, clearance[role]))
  const otherRanges = engine.otherClearances.flatMap(o => outside(o.role, o.clearance, 'others'))
  return [
    ...ranges,
    ...otherRanges,
    ...ROLES.flatMap(role => tooWide(role, clearance[role])),
    ...ROLES.flatMap(role => (alsoPrinted[role] ? unitsDiffer(role, clearance[role], alsoPrinted[role]) : [])),
    ...(ranges.length ? [] : [...betweenRoles(clearance), ...bothTenfold(clearance)]),
    ...torques(engine),
    ...openAtStops(engine),
    ...makersList(engine),
    ...firing(engine),
    ...exchangedTiming(engine),
    ...hydraulic(engine),
  ]
}
