import { z } from 'zod'
import { formatTorque, NEWTON_METRES, newtonMetres, type TorqueUnit } from '../units'

const name = z
  .string({ error: 'Give it a name.' })
  .trim()
  .min(1, { error: 'Give it a name.' })
  .max(60, { error: 'Keep the name under 60 characters.' })
export const TORQUE_UNITS = Object.keys(NEWTON_METRES) as [TorqueUnit, ...TorqueUnit[]]

/**
 * A torque wrench of the shelf: its scale's unit and range in N·m, its length from square drive to the middle of the
 * grip, and until when it is in calibration.
 */
export const wrenchSchema = z
  .object({
    name,
    unit: z.enum(TORQUE_UNITS, { error: 'Say what its scale shows.' }),
    leastNm: z
      .number({ error: 'Give the least torque of its scale.' })
      .positive({ error: 'The least torque must be over zero.' })
      .max(500),
    mostNm: z
      .number({ error: 'Give the most torque of its scale.' })
      .max(2000, { error: 'A wrench of more than 2000 N·m is not for these nuts: look at the unit.' }),
    lengthMm: z
      .number({ error: 'Give the length from the square drive to the middle of the grip, in mm.' })
      .min(50, { error: 'A wrench is 50 mm long or more, from square drive to the middle of the grip.' })
      .max(1500, { error: 'A wrench is 1500 mm long at most: look at the unit.' }),
    calibrationDue: z.iso.date({ error: 'Give the date as year-month-day.' }).nullable(),
  })
  .refine(w => w.mostNm > w.leastNm, { path: ['mostNm'], error: 'The scale’s end must be over its beginning.' })
export type Wrench = z.infer<typeof wrenchSchema>

/**
 * A crow’s-foot or other adapter: from the square drive to the middle of the nut, and at which angle it stands to the
 * wrench: 0 straight on, 90 square, 180 turned back.
 */
export const adapterSchema = z.object({
  name,
  lengthMm: z
    .number({ error: 'Give its length from square drive to nut, in mm.' })
    .min(1, { error: 'An adapter is 1 mm long or more.' })
    .max(400, { error: 'An adapter is 400 mm long at most: look at the unit.' }),
  angleDeg: z
    .number({ error: 'Give its angle in degrees.' })
    .min(0, { error: 'The angle is 0 to 180 degrees.' })
    .max(180, { error: 'The angle is 0 to 180 degrees.' }),
})
export type Adapter = z.infer<typeof adapterSchema>

export interface WrenchSetting {
  /** What the wrench is set to. N·m. */
  settingNm: number
  /** What is wrong with using this wrench: the kind, and in words what to do. */
  doubts: { kind: 'range' | 'calibration' | 'adapter'; words: string }[]
}

/**
 * What to set a torque wrench to for a torque at the nut: T·L / (L + E·cos α).
 * @param torqueNm wanted at the nut, N·m
 * @param adapter in line with the wrench, or null; at 90° it changes nothing, turned back it asks for more
 * @param today year-month-day, for the calibration
 * @throws RangeError when the torque is no number over zero
 * Source: lever arms; common practice. Accuracy: that of doubles.
 */
export function wrenchSetting(torqueNm: number, wrench: Wrench, adapter: Adapter | null, today: string): WrenchSetting {
  if (!(torqueNm > 0) || !Number.isFinite(torqueNm)) throw new RangeError(`A torque of ${torqueNm} N·m cannot be set.`)
  const arm = adapter ? adapter.lengthMm * cosDeg(adapter.angleDeg) : 0
  const settingNm = (torqueNm * wrench.lengthMm) / (wrench.lengthMm + arm)
  const doubts: WrenchSetting['doubts'] = []
  if (wrench.lengthMm + arm <= 0)
    doubts.push({
      kind: 'adapter',
      words: `${adapter!.name} turned back is longer than ${wrench.name}. Turn it to 90° or straight on.`,
    })
  else if (settingNm < wrench.leastNm || settingNm > wrench.mostNm)
    doubts.push({
      kind: 'range',
      words: `${formatTorque(settingNm)} is ${settingNm < wrench.leastNm ? 'under' : 'over'} the scale of ${wrench.name}, ${scaleWords(wrench)}. Take another wrench.`,
    })
  if (wrench.calibrationDue !== null && wrench.calibrationDue < today)
    doubts.push({ kind: 'calibration', words: `${wrench.name} was due for calibration on ${wrench.calibrationDue}.` })
  return { settingNm, doubts }
}

/** Exact at the angles that matter: cos 90° is 0. */
const cosDeg = (deg: number): number => (deg === 90 ? 0 : Math.cos((deg * Math.PI) / 180))

/** A torque as a scale shows it: N·m and lbf·ft to a tenth, lbf·in whole. */
export const torqueOn = (torqueNm: number, unit: TorqueUnit): string => {
  const value = torqueNm / newtonMetres(1, unit)
  return `${unit === 'lbf·in' ? Math.round(value) : Number(value.toFixed(1))} ${unit}`
}
export const scaleWords = ({ leastNm, mostNm, unit }: Wrench): string =>
  `${torqueOn(leastNm, unit).split(' ')[0]}–${torqueOn(mostNm, unit)}`
