import { type Said, say } from '../said'
import { NEWTON_METRES, newtonMetres, type TorqueUnit } from '../units'
import { wrong } from '../wrong'
import { z } from '../zod'

const name = z
  .string({ error: wrong('wrong.give-it-a-name') })
  .trim()
  .min(1, { error: wrong('wrong.give-it-a-name') })
  .max(60, { error: wrong('wrong.keep-the-name-under-60') })
export const TORQUE_UNITS = Object.keys(NEWTON_METRES) as [TorqueUnit, ...TorqueUnit[]]

/**
 * A torque wrench of the shelf: its scale's unit and range in N·m, its length from square drive to the middle of the
 * grip, and until when it is in calibration.
 */
export const wrenchSchema = z
  .object({
    name,
    unit: z.enum(TORQUE_UNITS, { error: wrong('wrong.say-what-its-scale-shows') }),
    leastNm: z
      .number({ error: wrong('wrong.give-the-least-torque-of') })
      .positive({ error: wrong('wrong.the-least-torque-must-be') })
      .max(500),
    mostNm: z
      .number({ error: wrong('wrong.give-the-most-torque-of') })
      .max(2000, { error: wrong('wrong.a-wrench-of-more-than') }),
    lengthMm: z
      .number({ error: wrong('wrong.give-the-length-from-the') })
      .min(50, { error: wrong('wrong.a-wrench-is-50-mm') })
      .max(1500, { error: wrong('wrong.a-wrench-is-1500-mm') }),
    calibrationDue: z.iso.date({ error: wrong('wrong.give-the-date-as-year') }).nullable(),
  })
  .refine(w => w.mostNm > w.leastNm, { path: ['mostNm'], error: wrong('wrong.the-scales-end-must-be') })
export type Wrench = z.infer<typeof wrenchSchema>

/**
 * A crow’s-foot or other adapter: from the square drive to the middle of the nut, and at which angle it stands to the
 * wrench: 0 straight on, 90 square, 180 turned back.
 */
export const adapterSchema = z.object({
  name,
  lengthMm: z
    .number({ error: wrong('wrong.give-its-length-from-square') })
    .min(1, { error: wrong('wrong.an-adapter-is-1-mm') })
    .max(400, { error: wrong('wrong.an-adapter-is-400-mm') }),
  angleDeg: z
    .number({ error: wrong('wrong.give-its-angle-in-degrees') })
    .min(0, { error: wrong('wrong.the-angle-is-0-to') })
    .max(180, { error: wrong('wrong.the-angle-is-0-to') }),
})
export type Adapter = z.infer<typeof adapterSchema>

/** What can be wrong with using a wrench for a torque. */
export type WrenchDoubt = 'range' | 'calibration' | 'adapter'

export interface WrenchSetting {
  /** What the wrench is set to. N·m. */
  settingNm: number
  /** What is wrong with using this wrench: the kind, and in words what to do. */
  doubts: { kind: WrenchDoubt; words: Said }[]
}

/**
 * What to set a torque wrench to for a torque at the nut: T·L / (L + E·cos α).
 * @param torqueNm wanted at the nut, N·m
 * @param adapter in line with the wrench, or null; at 90° it changes nothing, turned back it asks for more
 * @param today year-month-day, for the calibration
 * @throws RangeError when the torque is no number over zero Source: lever arms; common practice. Accuracy: that of
 *   doubles.
 */
export function wrenchSetting(torqueNm: number, wrench: Wrench, adapter: Adapter | null, today: string): WrenchSetting {
  if (!(torqueNm > 0) || !Number.isFinite(torqueNm)) throw new RangeError(`A torque of ${torqueNm} N·m cannot be set.`)
  const arm = adapter ? adapter.lengthMm * cosDeg(adapter.angleDeg) : 0
  const settingNm = (torqueNm * wrench.lengthMm) / (wrench.lengthMm + arm)
  const doubts: WrenchSetting['doubts'] = []
  if (wrench.lengthMm + arm <= 0)
    doubts.push({
      kind: 'adapter',
      words: say('wrench.too-long', { adapter: adapter!.name, wrench: wrench.name }),
    })
  else if (settingNm < wrench.leastNm || settingNm > wrench.mostNm)
    doubts.push({
      kind: 'range',
      words: say('wrench.off-scale', {
        settingNm,
        under: settingNm < wrench.leastNm,
        wrench: wrench.name,
        scale: scaleWords(wrench),
      }),
    })
  if (wrench.calibrationDue !== null && wrench.calibrationDue < today)
    doubts.push({
      kind: 'calibration',
      words: say('wrench.out-of-date', { wrench: wrench.name, date: wrench.calibrationDue }),
    })
  return { settingNm, doubts }
}

/** Exact at the angles that matter: cos 90° is 0. */
const cosDeg = (deg: number): number => (deg === 90 ? 0 : Math.cos((deg * Math.PI) / 180))

/** A torque as a scale shows it: N·m and lbf·ft to a tenth, lbf·in whole. */
export const torqueOn = (torqueNm: number, unit: TorqueUnit): string => {
  const value = torqueNm / newtonMetres(1, unit)
  return `${unit === 'lbf·in' ? Math.round(value) : Number(value.toFixed(1))} ${unit}`
}
/** A wrench’s scale in its own unit: “5–25 N·m”. */
export const scaleWords = ({ leastNm, mostNm, unit }: Wrench): string =>
  `${torqueOn(leastNm, unit).split(' ')[0]}–${torqueOn(mostNm, unit)}`
