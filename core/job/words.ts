import type { Engine } from '../engine'
import type { Place } from '../stops'
import { formatLength } from '../units'

/** How a place is reached, as the end of “Turn on until …”. */
export function untilWords(engine: Engine, place: Place): string {
  if (place.kind === 'mark') return `${engine.marks[place.markIndex]?.letter ?? 'the mark'} meets the pointer`
  if (place.kind === 'piston-top') return 'the soft rod stops rising'
  return `the piston is ${place.dropMm} mm past its top`
}

/** A place as somebody stands on it: “T”, “the top”, “6 mm past top”. */
export function placeWords(engine: Engine, place: Place): string {
  if (place.kind === 'mark') return engine.marks[place.markIndex]?.letter ?? 'the mark'
  return place.kind === 'piston-top' ? 'the top' : `${place.dropMm} mm past top`
}

/** A place looked at again, for “Is … still …?”. */
export function stillWords(engine: Engine, place: Place): string {
  if (place.kind === 'mark') return `Is ${placeWords(engine, place)} still at the pointer?`
  return place.kind === 'piston-top' ? 'Is the piston still at its top?' : `Is the piston still ${place.dropMm} mm down?`
}

/** Which way and how to turn: “clockwise seen from the flywheel, by the crank nut”. */
export const turningWords = ({ turning }: Engine): string => `${turning.direction} seen from ${turning.seenFrom}, by ${turning.means}`

/** A drop in both units: “6 mm (0.236 in)”. */
export const dropWords = (dropMm: number): string => `${dropMm} mm (${(dropMm / 25.4).toFixed(2)} in)`

export const bladeWords = (bladesMm: number[]): string => bladesMm.map(t => formatLength(t, 'mm')).join(' + ')

/** Degrees as a person turns a screw: whole, in steps of five from 30° up. */
export const roundTurn = (deg: number): number => Math.abs(deg) >= 30 ? Math.round(deg / 5) * 5 : Math.round(deg)

/** A turn in words: “15° clockwise”. */
export const turnWords = (deg: number): string => `${Math.abs(roundTurn(deg))}° ${deg >= 0 ? 'clockwise' : 'anticlockwise'}`

/** A turn as flats of the nut: “a quarter flat”, “1½ flats”. */
export function flatsWords(deg: number): string {
  const quarters = Math.max(1, Math.round(Math.abs(deg) / 15))
  const [whole, part] = [Math.floor(quarters / 4), ['', '¼', '½', '¾'][quarters % 4] ?? '']
  return `${whole || ''}${part} flat${quarters > 4 ? 's' : ''}`
}

/** Names of an engine's valves by id. */
export const valveNames = (engine: Engine): Record<string, string> => Object.fromEntries(engine.valves.map(v => [v.id, v.name]))
