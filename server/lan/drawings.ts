/** What a drawn line of a phone's screen is: text, the one to tap, a switch that is on, a button. */
type Line = 'text' | 'tap' | 'on' | 'button' | 'top-button' | 'share' | 'dots' | 'search' | 'file' | 'icon'

const bar = (y: number, width: number, dark = false) =>
  `<rect x="16" y="${y}" width="${width}" height="7" rx="3.5" class="${dark ? 'dark' : 'pale'}"/>`
const ring = (x: number, y: number, width: number, height: number) =>
  `<rect x="${x}" y="${y}" width="${width}" height="${height}" rx="7" class="ring"/>`

const LINES: Record<Line, (y: number) => string> = {
  'text': y => bar(y + 8, 64),
  'tap': y => `${ring(9, y, 82, 23)}${bar(y + 8, 52, true)}<path d="M82 ${y + 7} l5 5 -5 5" class="line"/>`,
  'on': y =>
    `${ring(9, y, 82, 23)}${bar(y + 8, 34, true)}<rect x="64" y="${y + 4}" width="24" height="15" rx="7.5" class="go"/><circle cx="80.500" cy="${y + 11.5}" r="5.500" class="paper"/>`,
  'button': y => `<rect x="24" y="${y + 1}" width="52" height="21" rx="10" class="go"/>${ring(20, y - 3, 60, 29)}`,
  'top-button': y =>
    `${bar(y + 8, 30)}<rect x="62" y="${y + 3}" width="28" height="16" rx="8" class="go"/>${ring(58, y - 1, 36, 24)}`,
  'share': y =>
    `${ring(37, y - 3, 26, 30)}<path d="M44 ${y + 9} v11 h12 v-11 M50 ${y + 15} v-13 M46 ${y + 6} l4 -4 4 4" class="line"/>`,
  'dots': y =>
    `${ring(78, y - 3, 16, 28)}${[4, 11, 18].map(d => `<circle cx="86" cy="${y + d}" r="2.500" class="dark"/>`).join('')}`,
  'search': y =>
    `${ring(9, y, 82, 23)}<circle cx="20" cy="${y + 10}" r="4.500" class="line"/><path d="M23 ${y + 14} l4 4" class="line"/>${`<rect x="32" y="${y + 8}" width="44" height="7" rx="3.5" class="dark"/>`}`,
  'file': y =>
    `${ring(9, y, 82, 25)}<path d="M16 ${y + 4} h8 l5 5 v12 h-13 z" class="line"/><rect x="36" y="${y + 9}" width="42" height="7" rx="3.5" class="dark"/>`,
  'icon': y =>
    `${ring(16, y - 2, 28, 28)}<circle cx="30" cy="${y + 12}" r="8" class="line"/><path d="M30 ${y + 2} v6" class="line"/>`,
}

/** A phone's screen, drawn by us: what is to be tapped has a ring. */
export function drawnScreen(lines: Line[]): string {
  const drawn = lines.map((line, n) => LINES[line](22 + n * 30)).join('')
  return `<svg viewBox="0 0 100 176" role="presentation"><rect x="2" y="2" width="96" height="172" rx="14" class="frame"/><rect x="38" y="9" width="24" height="4" rx="2" class="pale"/>${drawn}</svg>`
}
/** A computer's window. */
export const drawnWindow = (lines: Line[]): string =>
  `<svg viewBox="0 0 100 120" role="presentation"><rect x="2" y="2" width="96" height="96" rx="6" class="frame"/><path d="M2 14 h96" class="line"/><path d="M34 114 h32 M50 98 v16" class="line"/>${lines.map((line, n) => LINES[line](18 + n * 26)).join('')}</svg>`

export type { Line }
