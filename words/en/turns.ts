import { roundTurn } from '../../core/job/words'
import { inFlats, inQuarters } from '../turning'

/** Which way a screw is turned, clockwise positive. */
const direction = (deg: number): string => (deg >= 0 ? 'clockwise' : 'counterclockwise')

/**
 * A turn of the crank in degrees and turns: “¾ turn (270°)”, “one turn (360°)”, “1½ turns (540°)”, “a little over ½
 * turn (215°)”.
 */
export function crankTurn(deg: number): string {
  const { quarters, turns, part, off } = inQuarters(deg)
  if (quarters === 0) return `${Math.round(deg)}°`
  const said = quarters === 4 ? 'one turn' : `${turns || ''}${part} turn${quarters > 4 ? 's' : ''}`
  return `${off ? `a little ${off} ` : ''}${said} (${Math.round(deg)}°)`
}

/** “15° clockwise”. */
export const screwTurn = (deg: number): string => `${Math.abs(roundTurn(deg))}° ${direction(deg)}`

/** A turn as flats of the nut: “¼ flat”, “1½ flats”, “a touch: 6°, a tenth of a flat”, “1.4 flats”. */
export function flats(deg: number): string {
  const turn = inFlats(deg)
  switch (turn.in) {
    case 'fractions':
      return `${turn.whole || ''}${turn.part} flat${turn.whole > 1 || (turn.whole === 1 && turn.part) ? 's' : ''}`
    case 'touch':
      return `a touch: ${turn.deg}°, ${turn.of === 20 ? 'a twentieth' : 'a tenth'} of a flat`
    case 'tenths':
      return turn.flats < 1 ? `${turn.flats} of a flat` : `${turn.flats} flat${turn.flats > 1 ? 's' : ''}`
  }
}

interface Turned {
  deg: number
}
export const turns = {
  'turn.screw': ({ deg }: Turned) => screwTurn(deg),
  'turn.flats': ({ deg }: Turned) => flats(deg),
  /** How sure a turn is, or that only one side is known. */
  'turn.give-or-take': ({ deg }: Turned) => `give or take ${deg}°`,
  'turn.guess': 'a guess: only one side is known',
  'runs.clockwise': 'clockwise',
  'runs.anticlockwise': 'counterclockwise',
}
