/** N·m in one lbf·ft and one lbf·in (NIST SP 811, appendix B). */
export const NEWTON_METRES = { N·m: 1, lbf·ft: 1.3558179483, lbf·in: 0.112984829 } as const

export type TorqueUnit = keyof typeof NEWTON_METRES

/** Torque in N·m of a figure in another unit. */
export const newtonMetres = (value: number, unit: TorqueUnit): number => value * NEWTON_METRES[unit]

/** A torque in N·m for the screen, and in the imperial unit that suits its size: under 15 lbf·ft in lbf·in. */
export function torqueParts(torqueNm: number): { si: string; inch: string } {
  const small = torqueNm < 20
  const other = torqueNm / NEWTON_METRES[small ? 'lbf·in' : 'lbf·ft']
  return {
    si: `${Number(torqueNm.toFixed(1))} N·m`,
    inch: `${Math.round(other)} ${small ? 'lbf·in' : 'lbf·ft'}`,
  }
}
/** Both, the imperial one in brackets. */
export function formatTorque(torqueNm: number): string {
  const { si, inch } = torqueParts(torqueNm)
  return `${si} (${inch})`
}
