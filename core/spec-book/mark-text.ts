import { CAM_PICTURES, type Engine, type Mark, MARK_SHAPES } from '../engine'
import { say } from '../said'
import { FigureError } from '../units'
import { BETWEEN, figure, parts, wordsAndAngle } from './list-text'

const kindOf = (letter: string): Mark['kind'] =>
  /^f\b/i.test(letter) ? 'fire' : /^(a\b|‖|\|\|)/i.test(letter) ? 'advance' : 'top'

interface Looks<Shape extends string> {
  shape?: Shape
  through?: string
}
/** What stands in brackets behind the angle: “(dot)”, “(through the upper cap)”, “(painted line through the fan)”. */
const BRACKETS = /^(.*?)\s*\(([^)]*)\)$/
/** What a mark is for, where its name says something else: “F T 0 (top dot)”. */
const KIND = /^\s*(top|fire|advance)\b\s*/i
/**
 * @throws FigureError where the shape is none of those known, which it names
 */
function looks<Shape extends string>(part: string, shapes: readonly Shape[]): [rest: string, looks: Looks<Shape>] {
  const [, rest, inside] = BRACKETS.exec(part) ?? []
  if (rest === undefined || inside === undefined) return [part, {}]
  const [, named = '', through] = /^(.*?)\s*(?:\bthrough\s+(.+))?$/i.exec(inside.trim())!
  const shape = shapes.find(s => s === named.toLowerCase())
  if (named && !shape) throw new FigureError(named, say('figure.no-shape', { shapes: [...shapes] }))
  return [rest, { ...(shape ? { shape } : {}), ...(through ? { through } : {}) }]
}
const looksText = ({ shape, through }: Looks<string>, kind = ''): string => {
  const inside = [kind, shape, through && `through ${through}`].filter(Boolean).join(' ')
  return inside ? ` (${inside})` : ''
}

/**
 * Marks as typed: “T L 0, F 346, white line 180 (painted line through the upper cap)”. F fires; A and a double line are
 * advance marks; all else is top. Brackets may say otherwise: “F T 0 (top dot)”.
 * @throws FigureError for what is no mark, in words
 */
export const parseMarks = (text: string): Mark[] =>
  parts(text, BETWEEN).map(part => {
    const [, before, inside] = BRACKETS.exec(part) ?? []
    const told = KIND.exec(inside ?? '')
    const [rest, looked] = looks(told ? `${before} (${inside!.slice(told[0].length)})` : part, MARK_SHAPES)
    const { words: letter, deg: angleDeg } = wordsAndAngle(rest, 'mark')
    return {
      letter,
      angleDeg,
      kind: (told?.[1]!.toLowerCase() as Mark['kind'] | undefined) ?? kindOf(letter),
      ...looked,
    }
  })
/** Marks in the notation that `parseMarks` reads. */
export const marksText = (marks: readonly Mark[]): string =>
  marks
    .map(m => `${m.letter} ${figure(m.angleDeg)}${looksText(m, m.kind === kindOf(m.letter) ? '' : m.kind)}`)
    .join(', ')

/**
 * Cam signs as typed, a line each: how it looks when right, the angle, and its picture and plug in brackets.
 * @throws FigureError for what is no sign, in words
 */
export const parseCamMarks = (text: string): Engine['camMarks'] =>
  parts(text, /[;\n]/).map(part => {
    const [rest, { shape: picture, through }] = looks(part, CAM_PICTURES)
    const { words, deg: angleDeg } = wordsAndAngle(rest, 'sign')
    return { words, angleDeg, ...(picture ? { picture } : {}), ...(through ? { through } : {}) }
  })
/** Cam signs in the notation that `parseCamMarks` reads. */
export const camMarksText = (camMarks: Engine['camMarks']): string =>
  camMarks.map(m => `${m.words} ${figure(m.angleDeg)}${looksText({ shape: m.picture, through: m.through })}`).join('\n')
