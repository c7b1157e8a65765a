/** N·m in one lbf·ft and one lbf·in (NIST SP 811, appendix B). */
export const NEWTON_METRES = { N·m: 1, lbf·ft: 1.3558179483, lbf·in: 0.112984829 } as const

export type TorqueUnit = keyof typeof NEWTON_METRES

/** Torque in N·m of a figure in another unit. */
export const newtonMetres = (value: number, unit: TorqueUnit): number => value * NEWTON_METRES[unit]

/** A torque in N·m for the screen, with the imperial unit that suits its size: under 15 lbf·ft in lbf·in. */
export function formatTorque(torqueNm: number): string {
  const inch = torqueNm < 20
  const other = torqueNm / NEWTON_METRES[inch ? 'lbf·in' : 'lbf·ft']
  return `${Number(torqueNm.toFixed(1))} N·m (${Math.round(other)} ${inch ? 'lbf·in' : 'lbf·ft'})`
}
