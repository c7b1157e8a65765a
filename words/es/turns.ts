import { roundTurn } from '../../core/job/words'
import type { turns as english } from '../en/turns'
import type { Words } from '../teller'
import { inFlats, inQuarters } from '../turning'

const direction = (deg: number): string => (deg >= 0 ? 'a la derecha' : 'a la izquierda')

/** A turn of the crank: “¾ de vuelta (270°)”, “una vuelta (360°)”, “1½ vueltas (540°)”. */
export function crankTurn(deg: number): string {
  const { quarters, turns, part, off } = inQuarters(deg)
  if (quarters === 0) return `${Math.round(deg)}°`
  const said = quarters === 4 ? 'una vuelta' : turns === 0 ? `${part} de vuelta` : `${turns}${part} vueltas`
  const near = off === null ? '' : off === 'over' ? 'un poco más de ' : 'un poco menos de '
  return `${near}${said} (${Math.round(deg)}°)`
}

export const screwTurn = (deg: number): string => `${Math.abs(roundTurn(deg))}° ${direction(deg)}`

/** The same in flats of the nut: “¼ de cara”, “1½ caras”. */
export function flats(deg: number): string {
  const turn = inFlats(deg)
  switch (turn.in) {
    case 'fractions':
      if (turn.whole === 0) return `${turn.part} de cara`
      return `${turn.whole}${turn.part} ${turn.whole === 1 && turn.part === '' ? 'cara' : 'caras'}`
    case 'touch':
      return `apenas: ${turn.deg}°, ${turn.of === 20 ? 'un vigésimo' : 'un décimo'} de cara`
    case 'tenths':
      return turn.flats < 1 ? `${turn.flats} de cara` : `${turn.flats} caras`
  }
}

export const turns: Words<typeof english> = {
  'turn.screw': ({ deg }) => screwTurn(deg),
  'turn.flats': ({ deg }) => flats(deg),
  'turn.give-or-take': ({ deg }) => `${deg}° más o menos`,
  'turn.guess': 'a ojo: solo se conoce un lado',
  'runs.clockwise': 'a la derecha',
  'runs.anticlockwise': 'a la izquierda',
}
