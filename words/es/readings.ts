import type { Feel } from '../../core/feeler'
import { formatLength } from '../../core/units'
import type { Gap, Length, readings as english, Span } from '../en/readings'
import type { Words } from '../teller'
import { capital, count } from './grammar'

export const length = ({ mm, unit }: Length): string => `${formatLength(mm, unit)} ${unit}`
const span = ({ minMm, maxMm, unit }: Span): string => `${formatLength(minMm, unit)}–${length({ mm: maxMm, unit })}`

export function gap({ loMm, hiMm, unit }: Gap): string {
  if (hiMm === null) return loMm > 0 ? `${length({ mm: loMm, unit })} o más` : 'sin medir'
  return loMm > 0 ? span({ minMm: loMm, maxMm: hiMm, unit }) : `menos de ${length({ mm: hiMm, unit })}`
}

export const FEELS: Record<Feel, string> = {
  'free': 'libre',
  'drag': 'roza',
  'pinched': 'apretada',
  'no-go': 'no entra',
}
const MAY_BE = { tight: 'muy justa', in: 'bien', loose: 'muy floja' }
function still({ may, ...rest }: Gap & { may: readonly (keyof typeof MAY_BE)[] }): string {
  const words = may.map(m => MAY_BE[m])
  return `${capital(gap(rest))}: ${words.length > 2 ? 'muy justa, bien o muy floja' : words.join(', o ')}.`
}
const COULD = { tight: 'justa', loose: 'floja', in: 'bien' }

export const readings: Words<typeof english> = {
  'gap': gap,
  'gap.not-measured': 'sin medir',
  'trial': ({ blade, feel }) => `${blade} ${FEELS[feel]}`,

  'verdict.none-yet': 'Sin medir todavía.',
  'verdict.contradiction': ({ first, second }, tell) =>
    `${tell(first)} y ${tell(second)} no pueden ser las dos. Pruebe otra vez una, o deshaga una.`,
  'verdict.under-least': ({ least, ...rest }) =>
    `La holgura es ${gap(rest)}; el mínimo es ${length({ mm: least, unit: rest.unit })}.`,
  'verdict.over-most': ({ most, ...rest }) =>
    `La holgura es ${gap(rest)}; el máximo es ${length({ mm: most, unit: rest.unit })}.`,
  'verdict.goes-over-most': ({ blade, most, unit }) => `${blade} entra; el máximo es ${length({ mm: most, unit })}.`,
  'verdict.pair': ({ blade, refused, ...limits }) => `${blade} entra y ${refused} no: dentro de ${span(limits)}.`,
  'verdict.drags': ({ blade, ...limits }) => `${blade} roza: dentro de ${span(limits)}.`,
  'verdict.all-within': ({ minMm, maxMm, ...rest }) =>
    `La holgura es ${gap(rest)}, toda dentro de ${span({ minMm, maxMm, unit: rest.unit })}.`,
  'verdict.still': still,
  'verdict.figure.refused': ({ blade, ...figure }) => `${blade} no entra; se pide ${length(figure)}.`,
  'verdict.figure.goes': ({ blade, ...figure }) => `${blade} entra; se pide ${length(figure)}.`,
  'verdict.figure.drags': ({ blade, ...figure }) => `${blade} roza; se pide ${length(figure)}.`,
  'verdict.figure.pair': ({ blade, next, coarse }) =>
    `${blade} entra y ${next}, la siguiente, no.${coarse ? ' El salto entre las dos es grande.' : ''}`,
  'verdict.figure.within': ({ mm, ...rest }) =>
    `La holgura es ${gap(rest)}; se pide ${length({ mm, unit: rest.unit })}.`,
  'verdict.figure.try': figure => `Pruebe una lámina de ${length(figure)}.`,
  'verdict.figure.next-up': ({ blade, ...figure }) =>
    `${blade} entra: ${length(figure)} o más. La siguiente lámina lo dirá.`,

  'beside.blade-error': ({ blade, could, ...off }) =>
    `Podría estar ${COULD[could]} por error de lámina: ${blade} puede fallar ${length(off)}.`,
  'beside.loose-limit': 'En su límite flojo: al rozar queda un poco más que la lámina.',
  'beside.disagree': 'Las pruebas difieren, pero no más que el error de las láminas.',
  'beside.doubtful': ({ blade, doubt }) => `${blade} está ${doubt === 'bent' ? 'doblada' : 'gastada'}: pruebe otra.`,
  'beside.tight-exhaust': 'En su límite justo, y los escapes tienden a cerrarse.',

  'lock.leaves': ({ spreadMm }) => `apretar no la cambia, ± ${spreadMm.toFixed(3)} mm`,
  'lock.moves': ({ shiftMm, spreadMm }) =>
    `apretar la ${shiftMm < 0 ? 'cierra' : 'abre'} ${Math.abs(shiftMm).toFixed(3)} ± ${spreadMm.toFixed(3)} mm`,
  'lock.and-whose': ({ shift, by }, tell) => `${capital(tell(shift))}: ${tell(by)}`,
  'lock.whose-and-what': ({ shift, by }, tell) => `${capital(tell(by))}: ${tell(shift)}.`,
  'lock.of-this-nut': ({ rounds }) => `esta tuerca, ${count(rounds, 'ronda')}`,
  'lock.of-this-job': 'dicho para este trabajo',
  'lock.of-the-other-nuts': 'las otras tuercas de este trabajo',
  'lock.of-person': ({ person, locks }) => `${person}, este modelo, ${count(locks, 'apriete')}`,
  'lock.of-model': ({ model, locks }) => `${model}, ${count(locks, 'apriete')}`,
  'lock.of-shop': ({ locks }) => `este taller, ${count(locks, 'apriete')}`,
}
