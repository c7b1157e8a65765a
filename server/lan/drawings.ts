/** What a drawn line of a screen is: text, the one to tap, a switch that is on, a button, a sign. */
export type Line = 'text' | 'tap' | 'on' | 'button' | 'top-button' | 'share' | 'dots' | 'search' | 'file'

const box = (kind: string, x: number, y: number, width: number, height: number, round: number) =>
  `<rect x="${x}" y="${y}" width="${width}" height="${height}" rx="${round}" class="${kind}"/>`
const bar = (x: number, y: number, width: number, kind: 'pale' | 'dark' = 'pale') => box(kind, x, y, width, 7, 3.5)
/** Round what is to be tapped. */
const ring = (x: number, y: number, width: number, height: number) => box('ring', x, y, width, height, 7)
const stroke = (path: string) => `<path d="${path}" class="line"/>`
const dot = (kind: string, x: number, y: number, radius: number) =>
  `<circle cx="${x}" cy="${y}" r="${radius}" class="${kind}"/>`

const LINES: Record<Line, (y: number) => string[]> = {
  'text': y => [bar(16, y + 8, 64)],
  'tap': y => [ring(9, y, 82, 23), bar(16, y + 8, 52, 'dark'), stroke(`M82 ${y + 7} l5 5 -5 5`)],
  'on': y => [
    ring(9, y, 82, 23),
    bar(16, y + 8, 34, 'dark'),
    box('go', 64, y + 4, 24, 15, 7.5),
    dot('paper', 80.5, y + 11.5, 5.5),
  ],
  'button': y => [box('go', 24, y + 1, 52, 21, 10), ring(20, y - 3, 60, 29)],
  'top-button': y => [bar(16, y + 8, 30), box('go', 62, y + 3, 28, 16, 8), ring(58, y - 1, 36, 24)],
  'share': y => [
    ring(37, y - 3, 26, 30),
    stroke(`M44 ${y + 9} v11 h12 v-11 M50 ${y + 15} v-13 M46 ${y + 6} l4 -4 4 4`),
  ],
  'dots': y => [ring(78, y - 3, 16, 28), ...[4, 11, 18].map(down => dot('dark', 86, y + down, 2.5))],
  'search': y => [
    ring(9, y, 82, 23),
    dot('line', 20, y + 10, 4.5),
    stroke(`M23 ${y + 14} l4 4`),
    bar(32, y + 8, 44, 'dark'),
  ],
  'file': y => [ring(9, y, 82, 25), stroke(`M16 ${y + 4} h8 l5 5 v12 h-13 z`), bar(36, y + 9, 42, 'dark')],
}
/** Lines under one another, so far apart. */
const drawn = (lines: Line[], from: number, apart: number): string =>
  lines.flatMap((line, n) => LINES[line](from + n * apart)).join('')
const picture = (height: number, shapes: string): string =>
  `<svg viewBox="0 0 100 ${height}" role="presentation">${shapes}</svg>`

/** A phone's screen, drawn by us. */
export const drawnScreen = (lines: Line[]): string =>
  picture(176, box('frame', 2, 2, 96, 172, 14) + box('pale', 38, 9, 24, 4, 2) + drawn(lines, 22, 30))
/** A computer's window. */
export const drawnWindow = (lines: Line[]): string =>
  picture(120, box('frame', 2, 2, 96, 96, 6) + stroke('M2 14 h96 M34 114 h32 M50 98 v16') + drawn(lines, 18, 26))
