import { say } from '../said'
import type { PageFinding } from './finding'
import type { Label } from './labels'
import type { Quantity } from './quantities'

const anyOf = (...phrases: string[]): RegExp => new RegExp(phrases.join('|'), 'giu')
const CLOCKWISE = anyOf(
  String.raw`(?<!(?:counter|anti)[\s-]?)\b(?:clockwise|cw)\b`,
  String.raw`(?<!anti)\bhorario\b`,
  String.raw`(?<!contrario\s+a\s+)(?:en (?:el )?sentido de |de )las\s+agujas\s+del\s+reloj`,
)
const ANTICLOCKWISE = anyOf(
  String.raw`\b(?:counter|anti)[\s-]?clockwise\b`,
  String.raw`\bccw\b`,
  String.raw`\bantihorario\b`,
  String.raw`contrario\s+a\s+(?:las\s+)?agujas\s+del\s+reloj`,
)
/** Turning that is of a screw or a bolt says nothing of the crank. */
const OF_A_SCREW = /screw|bolt|nut\b|tornillo|tuerca|adjuster|ajustador/i
const MARK =
  /["“'«]([A-Z]{1,2})["”'»](?:\s*(?:mark|line|timing mark))?|(?:mark|line|marca|l[íi]nea)\s+["“'«]?([A-Z])["”'»]?\b/gu
const TOP = '(?:tdc|top dead cent(?:er|re)|pms|punto muerto superior)'
const COMPRESSION = '(?:compression|compresi[óo]n)'
const COMPRESSION_TOP = new RegExp(String.raw`${TOP}[^.\n]{0,40}${COMPRESSION}|${COMPRESSION}[^.\n]{0,40}${TOP}`, 'iu')
/** What a mark lines up with. */
const POINTER = new RegExp(
  [
    String.raw`(?:lines? up|aligns?|aligned|flush|level) with (?:the )?([a-z][a-z -]{2,40}?)`,
    String.raw`(?=[.,;(]|\s+(?:on|of|in|at|to)\b|$)`,
    String.raw`|coincida con (?:la |el )?([a-zñáéíóú ]{3,40}?)(?=[.,;(]|$)`,
  ].join(''),
  'iu',
)

/** Which way the crank turns, the marks and where they show, and where the source measures. */
export function positionFindings(page: string, labels: Label[], quantities: Quantity[]): PageFinding[] {
  const findings: PageFinding[] = []
  const ways = [
    ...[...page.matchAll(ANTICLOCKWISE)].map(m => ({ way: 'anticlockwise', m })),
    ...[...page.matchAll(CLOCKWISE)].map(m => ({ way: 'clockwise', m })),
  ].filter(({ m }) => {
    const sentence = page
      .slice(Math.max(0, m.index - 90), m.index)
      .split(/[.\n]\s*/)
      .at(-1)!
    return !OF_A_SCREW.test(sentence) || /crank|cig[üu]e[ñn]al|fly ?wheel|volante/i.test(sentence)
  })
  for (const { way, m } of ways)
    findings.push({ field: 'direction', text: way, start: m.index, end: m.index + m[0].length, doubts: [] })

  const letters = new Map<string, { start: number; end: number }>()
  for (const m of page.matchAll(MARK)) letters.set(m[1] ?? m[2]!, { start: m.index, end: m.index + m[0].length })
  const top = letters.get('T')
  const fire = quantities.find(
    q =>
      q.kind === 'angle' &&
      labels.some(l => l.topic === 'fire' && l.end <= q.start && q.start - l.end < 40) &&
      /^\s*(?:b\.?t\.?d\.?c|before (?:top|tdc)|antes del? (?:pms|punto)|apms)/iu.test(page.slice(q.end)),
  )
  if (top || fire) {
    const from = top ?? fire!
    const marks = [...(top ? ['T 0'] : []), ...(fire ? [`F ${360 - fire.lo}`] : [])]
    findings.push({
      field: 'marks',
      text: marks.join(', '),
      start: Math.min(from.start, fire?.start ?? from.start),
      end: Math.max(from.end, fire?.end ?? from.end),
      doubts: fire && !letters.has('F') ? [say('page.fire-mark')] : [],
    })
    const pointer = POINTER.exec(page)
    if (pointer) {
      const words = (pointer[1] ?? pointer[2]!).trim()
      findings.push({
        field: 'markWindow',
        text: words,
        start: pointer.index,
        end: pointer.index + pointer[0].length,
        doubts: [],
      })
    }
  }
  const measured = COMPRESSION_TOP.exec(page)
  if (measured)
    findings.push({
      field: 'measuredAt',
      text: 'top',
      start: measured.index,
      end: measured.index + measured[0].length,
      doubts: [],
    })
  return findings
}
