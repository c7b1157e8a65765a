import type { MarkShape } from '../../core/engine'
import type { Tell, Text } from '../../core/said'

let days: Intl.DateTimeFormat | null = null
export const day = (atMs: number): string => {
  // made when it is needed: the first of a page takes a slow phone a while
  days ??= new Intl.DateTimeFormat('es-US', { day: 'numeric', month: 'short', year: 'numeric', timeZone: 'UTC' })
  return days.format(atMs)
}

/** Varias cosas en una frase: “a”, “a y b”, “a, b y c”. */
export const listed = (names: readonly string[], last = 'y'): string =>
  names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} ${last} ${names.at(-1)}`

export const listedTexts = (texts: readonly Text[], tell: Tell, last = 'y'): string => listed(texts.map(tell), last)

export const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1)

/** “1 vuelta”, “2 vueltas”. */
export const count = (n: number, one: string, many = `${one}s`): string => `${n} ${n === 1 ? one : many}`

/** Which of two or more cylinders, after a masculine or a feminine word. */
const SIDES: Record<string, [string, string]> = {
  left: ['izquierdo', 'izquierda'],
  right: ['derecho', 'derecha'],
  front: ['delantero', 'delantera'],
  rear: ['trasero', 'trasera'],
}
export function side(name: string, feminine = false): string {
  const known = SIDES[name.toLowerCase()]
  if (known) return known[feminine ? 1 : 0]
  const numbered = /^cylinder (\d+)$/i.exec(name)
  return numbered ? `del cilindro ${numbered[1]}` : name
}

/** A cylinder after a part of it: “ izquierdo”; nothing on a single. */
export const whose = (cylinder: string | null, feminine = false): string =>
  cylinder === null ? '' : ` ${side(cylinder, feminine)}`

const VALVE = /^(?:(.*) )?(intake|exhaust)(?: ?(\d+))?$/i
/** A valve’s name: “Escape izquierdo”. A name that a shop made up stays as it is. */
export function valveName(name: string): string {
  const match = VALVE.exec(name)
  if (!match) return name
  const intake = match[2]!.toLowerCase() === 'intake'
  return [intake ? 'Admisión' : 'Escape', match[3], match[1] && side(match[1], intake)].filter(Boolean).join(' ')
}
/** A valve’s or a cylinder’s name to stand by itself. */
export const partName = (name: string): string => (VALVE.test(name) ? valveName(name) : capital(side(name)))

/** What a mark may be, and what each of them is called. */
export const MARKS: Record<MarkShape, string> = {
  'line': 'línea',
  'painted line': 'línea pintada',
  'dot': 'punto',
  'hole': 'agujero',
  'dash pair': 'par de rayas',
  'letters': 'la propia letra',
  'edge': 'borde de la fundición',
}
const MASCULINE: ReadonlySet<MarkShape> = new Set(['dot', 'hole', 'dash pair', 'edge'])
export function markLook(letter: string, shape: MarkShape): string {
  if (shape === 'letters') return `la marca ${letter} (solo letras)`
  const what = `${MASCULINE.has(shape) ? 'el' : 'la'} ${MARKS[shape]}`
  return letter.length > 3 ? `${what} “${letter}”` : `${what} junto a ${letter}`
}

/** Parts that a spec names in English, as they usually are. */
const USUAL: Record<string, string> = {
  'the left': 'la izquierda',
  'the right': 'la derecha',
  'the front': 'el frente',
  'the rear': 'atrás',
  'the flywheel': 'el volante',
  'the flywheel side': 'el lado del volante',
  'the rotor': 'el rotor',
  'the rotor window': 'la ventana del rotor',
  'the window': 'la ventana',
  'the flywheel window': 'la ventana del volante',
  'the fan-side window': 'la ventana del lado del ventilador',
  'the fan housing notch': 'la muesca de la carcasa del ventilador',
  'the window over the clutch cover': 'la ventana sobre la tapa del embrague',
  'the upper cap on the left cover': 'el tapón superior de la tapa izquierda',
  'the hole in the left cover': 'el agujero de la tapa izquierda',
  'the fan nut': 'la tuerca del ventilador',
  'the blower nut': 'la tuerca del soplador',
  'the clutch-side bolt': 'el tornillo del lado del embrague',
  'the recoil pulley bolt': 'el tornillo de la polea de arranque',
  'the rotor bolt': 'el tornillo del rotor',
  'the rotor nut': 'la tuerca del rotor',
  'the recoil side': 'el lado del arranque',
  'above': 'arriba',
  'the timing window': 'la ventana de puesta a punto',
  'the flywheel nut': 'la tuerca del volante',
  'the crank nut': 'la tuerca del cigüeñal',
  'the crank bolt': 'el tornillo del cigüeñal',
  'the fan': 'el ventilador',
  'the pull starter': 'el arranque de cuerda',
  'the starter side': 'el lado del arranque',
  'the output side': 'el lado de la toma de fuerza',
}
export const usual = (part: string): string => USUAL[part.trim().toLowerCase()] ?? part
export const within = (name: string): string => valveName(name).toLowerCase()
/** “la admisión izquierda”, “el escape”. */
export const the = (name: string): string => `${/^(.* )?intake/i.test(name) ? 'la' : 'el'} ${within(name)}`

/** A figure’s role: “la admisión”. */
export const theRole = (role: 'intake' | 'exhaust'): string => (role === 'intake' ? 'la admisión' : 'el escape')
export const roleName = (role: 'intake' | 'exhaust'): string => (role === 'intake' ? 'Admisión' : 'Escape')

export type Shown<Names extends string> = Record<Names, string | number>
