import { say } from '../said'
import type { PageFinding } from './finding'
import { readPage } from './read-page'

/** Where something is in a picture, in its pixels. */
export interface Box {
  x0: number
  y0: number
  x1: number
  y1: number
}
/** One word of a picture, as it was made out: the line that it is on, and how sure that is, 0 to 100. */
export interface SeenWord {
  text: string
  line: number
  sure: number
  box: Box
}
export interface SeenFinding extends PageFinding {
  /** The piece of the picture that it is from. */ box: Box
}

/** A word that is less sure than this is noise; one under the second is doubtful. From trials with blurred pages. */
const NOISE = 30
const DOUBTFUL = 75
/** A page has at least so many words, and is this sure on average; else the picture is of something else. */
const FEWEST_WORDS = 4
const LEAST_SURE = 60

/**
 * A page as a camera sees it: its text, and what it states, each with its piece of the picture. A figure of which the
 * reader was not sure says so.
 * @returns null where the picture is too poor to be a page
 */
export function readSeenPage(seen: SeenWord[]): { text: string; findings: SeenFinding[] } | null {
  const words = seen.filter(w => w.sure >= NOISE && w.text.trim() !== '')
  const sure = words.reduce((sum, w) => sum + w.sure, 0) / Math.max(1, words.length)
  if (words.length < FEWEST_WORDS || sure < LEAST_SURE) return null
  let text = ''
  const placed = words.map((word, i) => {
    const before = words[i - 1]
    if (before) text += before.line === word.line ? ' ' : apart(before.box, word.box) ? '\n\n' : '\n'
    const start = text.length
    text += word.text
    return { ...word, start, end: text.length }
  })
  const findings = readPage(text).findings.map(finding => {
    const own = placed.filter(w => w.start < finding.end && w.end > finding.start)
    const doubts = own.some(w => w.sure < DOUBTFUL) ? [say('page.unsure')] : []
    return { ...finding, doubts: [...doubts, ...finding.doubts], box: around(own.map(w => w.box)) }
  })
  return { text, findings }
}
/** Whether a line stands off from the one above, as a paragraph does. */
const apart = (above: Box, below: Box): boolean => below.y0 - above.y1 > 1.2 * (above.y1 - above.y0)
const around = (boxes: Box[]): Box => ({
  x0: Math.min(...boxes.map(b => b.x0)),
  y0: Math.min(...boxes.map(b => b.y0)),
  x1: Math.max(...boxes.map(b => b.x1)),
  y1: Math.max(...boxes.map(b => b.y1)),
})
