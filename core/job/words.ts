import { cylinderById, type Engine, type MarkShape, type Place, valveById } from '../engine'
import { type Said, say, type Text } from '../said'
import type { Phase } from './state'

/** The cylinder’s name before a part of it, or null where there is only one. */
export const whose = (engine: Engine, cylinderId: string): string | null =>
  engine.cylinders.length > 1 ? cylinderById(engine, cylinderId).name : null

/** A mark by its letter, and what it is made as where the model tells. */
function named(engine: Engine, place: Extract<Place, { kind: 'mark' }>): { letter: string; shape?: MarkShape } | null {
  const mark = engine.marks[place.markIndex]
  return mark ? { letter: mark.letter, ...(mark.shape ? { shape: mark.shape } : {}) } : null
}

/** How a place is reached, as the end of “Turn until …”. */
export function untilWords(engine: Engine, place: Place): Text {
  switch (place.kind) {
    case 'mark': {
      const mark = named(engine, place)
      return mark === null ? say('until.the-mark') : say('until.mark', mark)
    }
    case 'piston-top':
      return say('until.top', { cylinder: whose(engine, place.cylinderId) })
    case 'rod-drop':
      return say('until.past-top', { cylinder: whose(engine, place.cylinderId), dropMm: place.dropMm })
    case 'cam-mark':
      return engine.camMarks[place.camMarkIndex]?.words ?? say('until.cam-sign')
    case 'valve':
      return say('until.valve', { valve: valveById(engine, place.valveId).name, sight: place.sight })
  }
}

/** A place as somebody stands on it: “T”, “the top”, “6 mm past top”. */
export function placeWords(engine: Engine, place: Place): Said {
  switch (place.kind) {
    case 'mark': {
      const mark = named(engine, place)
      return mark === null ? say('place.the-mark') : say('place.mark', { letter: mark.letter })
    }
    case 'piston-top':
      return say('place.top', { cylinder: whose(engine, place.cylinderId) })
    case 'rod-drop':
      return say('place.past-top', { cylinder: whose(engine, place.cylinderId), dropMm: place.dropMm })
    case 'cam-mark':
      return say('place.cam-sign')
    case 'valve':
      return say('place.valve', { valve: valveById(engine, place.valveId).name, sight: place.sight })
  }
}

/** A place looked at again, for “Is … still …?”. */
export function stillWords(engine: Engine, place: Place): Said {
  switch (place.kind) {
    case 'mark': {
      const mark = named(engine, place)
      return mark === null ? say('still.the-mark') : say('still.mark', mark)
    }
    case 'piston-top':
      return say('still.top', { cylinder: whose(engine, place.cylinderId) })
    case 'rod-drop':
      return say('still.past-top', { cylinder: whose(engine, place.cylinderId), dropMm: place.dropMm })
    case 'cam-mark':
      return say('still.cam-sign')
    case 'valve':
      return say('still.valve', { valve: valveById(engine, place.valveId).name, sight: place.sight })
  }
}

/** Degrees as a person turns a screw: whole, in steps of five from 30° up. */
export const roundTurn = (deg: number): number => (Math.abs(deg) >= 30 ? Math.round(deg / 5) * 5 : Math.round(deg))

/** Names of an engine’s valves by id. */
export const valveNames = (engine: Engine): Record<string, string> =>
  Object.fromEntries(engine.valves.map(v => [v.id, v.name]))

const PHASES = {
  'as found': say('phase.as-found'),
  'before lock': say('phase.before-lock'),
  'nipped': say('phase.nipped'),
  'torqued': say('phase.torqued'),
  'proved': say('phase.proved'),
} satisfies Record<Phase, Said>
/** When in the work a reading was taken. */
export const phaseWords = (phase: Phase): Said => PHASES[phase]
