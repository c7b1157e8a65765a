import { say } from '../said'
import { FigureError } from '../units'

/** What a thermometer says in one line: the head, and the air where it has a second sensor. °C. */
export interface ThermometerReading {
  headC: number
  airC: number | null
}

/** The sum at the end of a line: all characters before the star, exclusive or, as two hexadecimal digits. */
const sumOf = (text: string): string =>
  [...text]
    .reduce((sum, c) => sum ^ c.charCodeAt(0), 0)
    .toString(16)
    .toUpperCase()
    .padStart(2, '0')
const inCelsius = (value: number, unit: string): number =>
  unit === 'F' ? Math.round(((value - 32) * 50) / 9) / 10 : value

/** A line as a thermometer sends it: “T1,58.4,19.5,C*0E”. Without an air sensor the third field is empty. */
export function thermometerLine({ headC, airC }: ThermometerReading): string {
  const text = `T1,${headC.toFixed(1)},${airC === null ? '' : airC.toFixed(1)},C`
  return `${text}*${sumOf(text)}`
}

/**
 * Reads a line of a thermometer. docs/formats/thermometer.md describes it.
 * @throws FigureError for a line that is cut off, not of a thermometer, or outside what a head can have
 */
export function parseThermometerLine(line: string): ThermometerReading {
  const match = /^(T1,(-?\d+(?:\.\d+)?),(-?\d+(?:\.\d+)?)?,([CF]))\*([0-9A-F]{2})\s*$/.exec(line)
  if (!match) throw new FigureError(line, say('figure.is-no-line-of-a'))
  if (sumOf(match[1]!) !== match[5]) throw new FigureError(line, say('figure.arrived-damaged-from-the-thermometer'))
  const headC = inCelsius(Number(match[2]), match[4]!)
  if (headC < -40 || headC > 250) throw new FigureError(line, say('figure.is-what-no-head-at'))
  return { headC, airC: match[3] === undefined ? null : inCelsius(Number(match[3]), match[4]!) }
}
