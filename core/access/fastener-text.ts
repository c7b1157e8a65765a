import { say } from '../said'
import { FigureError } from '../units'
import type { Fasteners } from './part'

/** “4 M6 × 20 (upper rear is longer)”: how many, thread and length where they are known, and what is odd. */
const ONE = new RegExp(
  [
    String.raw`^(\d+)\s*(?:[×x]\s*(?=M))?`,
    String.raw`(?:M\s*(\d+(?:[.,]\d+)?))?\s*`,
    String.raw`(?:[×x]\s*(\d+(?:[.,]\d+)?)(?:\s*mm)?)?\s*`,
    String.raw`(?:\(([^)]*)\)|([^()]*))$`,
  ].join(''),
  'i',
)
const number = (text: string | undefined): number | null => (text === undefined ? null : Number(text.replace(',', '.')))

/**
 * Fasteners as they are typed, kinds apart by semicolons: “4 M6 × 20; 1 M6 × 28 (upper rear)”.
 * @throws FigureError with an example where one cannot be read
 */
export const parseFasteners = (text: string): Fasteners[] =>
  text
    .split(';')
    .map(part => part.trim())
    .filter(Boolean)
    .map(part => {
      const match = ONE.exec(part)
      if (!match) throw new FigureError(part, say('figure.no-fasteners'))
      return {
        count: Number(match[1]),
        threadMm: number(match[2]),
        lengthMm: number(match[3]),
        odd: (match[4] ?? match[5] ?? '').trim(),
      }
    })

/** The same in the notation that `parseFasteners` reads. */
export const fastenersText = (fasteners: readonly Fasteners[]): string =>
  fasteners
    .map(({ count, threadMm, lengthMm, odd }) =>
      [count, threadMm !== null && `M${threadMm}`, lengthMm !== null && `× ${lengthMm}`, odd && `(${odd})`]
        .filter(Boolean)
        .join(' '),
    )
    .join('; ')
