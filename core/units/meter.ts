import { LOCALE } from './locale'
/** A machine's meter counts running hours, kilometres or miles. */
export type MeterUnit = 'h' | 'km' | 'mi'

/** A meter reading for the screen: "14 260 km". */
export const formatMeter = (value: number, unit: MeterUnit): string =>
  `${value.toLocaleString(LOCALE, { maximumFractionDigits: 1 })} ${unit}`
