import { type Clearance, type Engine, type Place, signedWay, type Superseded, type Valve, wrap } from '../engine'
import { say } from '../said'
import { FigureError, type LengthUnit, parseLength } from '../units'
import { BETWEEN, figure, parts, wordsAndAngle } from './list-text'

/**
 * One clearance as it is typed: “0.08–0.12”, “0.08–0.14 (0.10)”, “0.16 ± 0.03”, “4 thou”. @throws FigureError with what
 * to type instead
 */
export function parseClearance(text: string, unit: LengthUnit): Clearance {
  const value = (part: string) => parseLength(part, unit)
  const tolerance = /^(.+?)(?:±|\+\/-|\+-)(.+)$/.exec(text)
  if (tolerance) {
    const toleranceUnit = value(tolerance[2]!).unit
    const figure = parseLength(tolerance[1]!, toleranceUnit)
    return {
      form: 'tolerance',
      figureMm: figure.mm,
      toleranceMm: value(tolerance[2]!).mm,
      text: text.trim(),
      unit: figure.unit,
    }
  }
  // a figure in brackets behind limits is the one that the source says to set to
  const figured = /^(.+?)\(([^)]+)\)\s*$/.exec(text)
  const range = /^(.+?)(?:[-‐‑‒–—―−]|\bto\b)(.+)$/.exec(figured?.[1] ?? text)
  if (range) {
    const max = value(range[2]!)
    return {
      form: 'limits',
      minMm: parseLength(range[1]!, max.unit).mm,
      maxMm: max.mm,
      ...(figured ? { figureMm: parseLength(figured[2]!, max.unit).mm } : {}),
      text: text.trim(),
      unit: max.unit,
    }
  }
  const figure = value(text)
  return { form: 'bare', figureMm: figure.mm, text: text.trim(), unit: figure.unit }
}

/**
 * Other printed figures as typed, a line each: “exhaust 0.13–0.17; Bulletin 4”.
 * @throws FigureError for a line without a role or a source, in words
 */
export const parseOtherFigures = (text: string, unit: LengthUnit): Engine['otherClearances'] =>
  text
    .split('\n')
    .map(line => line.trim())
    .filter(Boolean)
    .map(line => {
      const match = /^(intake|exhaust)\s*:?\s*([^;]+);\s*(.+)$/i.exec(line)
      if (!match) throw new FigureError(line, say('figure.cannot-be-read-type-valve'))
      return {
        role: match[1]!.toLowerCase() as Valve['role'],
        clearance: parseClearance(match[2]!, unit),
        source: match[3]!.trim(),
      }
    })

/**
 * Figures of earlier printings that are not to be used, a line each:
 * “exhaust 0.20; 1st printing; Sheet 4; 2024-05-01”.
 * @throws FigureError for a line that lacks one of them, in words
 */
export const parseSuperseded = (text: string): Superseded[] =>
  text
    .split('\n')
    .map(line => line.trim())
    .filter(Boolean)
    .map(line => {
      const match = /^(intake|exhaust)\s*:?\s*([^;]+);\s*([^;]+);\s*([^;]+);\s*(\d{4}-\d\d-\d\d)$/i.exec(line)
      if (!match) throw new FigureError(line, say('figure.no-superseded'))
      const [, role, old, source, correctedBy, correctedOn] = match.map(part => part.trim())
      return {
        role: role!.toLowerCase() as Valve['role'],
        text: old!,
        source: source!,
        correctedBy: correctedBy!,
        correctedOn: correctedOn!,
      }
    })
/** The same in the notation that `parseSuperseded` reads. */
export const supersededText = (old: readonly Superseded[]): string =>
  old.map(o => `${o.role} ${o.text}; ${o.source}; ${o.correctedBy}; ${o.correctedOn}`).join('\n')

/** Cylinders as typed, each with its firing angle: “Left 0, Right 360”. */
export const parseCylinders = (text: string): Engine['cylinders'] =>
  parts(text, BETWEEN).map((part, i) => {
    const { words: name, deg: firingAngleDeg } = wordsAndAngle(part, 'cylinder')
    return { id: `cylinder-${i + 1}`, name, firingAngleDeg }
  })

function parsePlace(text: string, engine: Pick<Engine, 'cylinders' | 'marks'>, deg: number): Place {
  const away = (markIndex: number) => Math.abs(signedWay(engine.marks[markIndex]!.angleDeg, deg, 360))
  const nearest = [...engine.marks.keys()]
    .filter(i => engine.marks[i]!.letter.toLowerCase() === text.toLowerCase())
    .sort((a, b) => away(a) - away(b))[0]
  if (nearest !== undefined) return { kind: 'mark', markIndex: nearest }
  const cylinder = (name: string | undefined) => {
    const found = engine.cylinders.find(
      c => c.name.toLowerCase() === (name ?? engine.cylinders[0]?.name ?? '').toLowerCase(),
    )
    if (!found)
      throw new FigureError(name ?? '', say('figure.no-cylinder', { names: engine.cylinders.map(c => c.name) }))
    return found.id
  }
  const top = /^top(?:\s+(.+))?$/i.exec(text)
  if (top) return { kind: 'piston-top', cylinderId: cylinder(top[1]) }
  const rod = /^rod\s+(\d+(?:[.,]\d+)?)\s*(?:mm)?(?:\s+(.+))?$/i.exec(text)
  if (rod) return { kind: 'rod-drop', dropMm: Number(rod[1]!.replace(',', '.')), cylinderId: cylinder(rod[2]) }
  const sign = /^sign\s+(\d)$/i.exec(text)
  if (sign) return { kind: 'cam-mark', camMarkIndex: Number(sign[1]) - 1 }
  throw new FigureError(text, say('figure.no-place'))
}

/** A line of the maker’s stops: degrees, or how far on from the line before; place; valves. */
const STOP_LINE = /^(\+\s*)?(\d+(?:[.,]\d+)?)°?\s+(on\s+)?([^:]+?)\s*:\s*(.*)$/i

/**
 * The maker’s stops as typed, a line each: “14 P: left intake, left exhaust”. Makers also print how far to turn from
 * one to the next: “+270 P: …” or “270 on P: …” counts from the line before.
 * @throws FigureError for a place or a valve that the engine has not, in words
 */
export function parseStops(
  text: string,
  engine: Pick<Engine, 'cylinders' | 'marks'>,
  valves: Pick<Valve, 'id' | 'name'>[],
): Engine['makersStops'] {
  let beforeDeg: number | null = null
  return parts(text, /\n/).map(line => {
    const match = STOP_LINE.exec(line)
    if (!match) throw new FigureError(line, say('figure.cannot-be-read-type-degrees'))
    const [, plus, figures, on, place, names] = match
    const deg = Number(figures!.replace(',', '.'))
    const further = plus !== undefined || on !== undefined
    if (further && beforeDeg === null) throw new FigureError(line, say('figure.counts-on-from-a-line'))
    const crankDeg = further ? wrap(beforeDeg! + deg) : deg
    beforeDeg = crankDeg
    return {
      crankDeg,
      place: parsePlace(place!, engine, crankDeg),
      valveIds: parts(names!, /,/).map(name => {
        const valve = valves.find(v => v.name.toLowerCase() === name.toLowerCase())
        if (!valve)
          throw new FigureError(name, say('figure.no-valve', { names: valves.map(v => v.name.toLowerCase()) }))
        return valve.id
      }),
    }
  })
}

/** Cylinders in the notation that `parseCylinders` reads. */
export const cylindersText = (cylinders: Engine['cylinders']): string =>
  cylinders.map(c => `${c.name} ${figure(c.firingAngleDeg)}`).join(', ')
/** Other figures in the notation that `parseOtherFigures` reads. */
export const otherFiguresText = (others: Engine['otherClearances']): string =>
  others.map(o => `${o.role} ${o.clearance.text}; ${o.source}`).join('\n')

function placeText(engine: Engine, place: Place): string {
  const name = (id: string) => engine.cylinders.find(c => c.id === id)?.name ?? id
  switch (place.kind) {
    case 'mark':
      return engine.marks[place.markIndex]?.letter ?? ''
    case 'piston-top':
      return `top ${name(place.cylinderId)}`
    case 'rod-drop':
      return `rod ${figure(place.dropMm)} mm ${name(place.cylinderId)}`
    case 'cam-mark':
      return `sign ${place.camMarkIndex + 1}`
    default:
      return ''
  }
}
/** The maker’s stops in the notation that `parseStops` reads. */
export const stopsText = (engine: Engine): string =>
  engine.makersStops
    .map(
      s =>
        `${figure(s.crankDeg)} ${placeText(engine, s.place)}: ${s.valveIds.map(id => engine.valves.find(v => v.id === id)?.name.toLowerCase() ?? id).join(', ')}`,
    )
    .join('\n')
