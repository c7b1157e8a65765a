import type { Role } from '../../core/engine'
import type { Slip } from '../../core/spec-book'
import type { doubts as english } from '../en/doubts'
import type { Words } from '../teller'
import { listed, the } from './grammar'

const ROLES: Record<Role, string> = { intake: 'Admisión', exhaust: 'Escape' }
const OF: Record<Role, string> = { intake: 'la admisión', exhaust: 'el escape' }
const SLIPS: Record<Slip, string> = {
  10: 'diez veces',
  25.4: '25.4 veces (una unidad cambiada, por ejemplo)',
  100: 'cien veces',
  1000: 'mil veces',
}
const meantWords = (meant: string[]): string => (meant.length ? ` ¿Quiso decir ${meant.join(' o ')}?` : '')
const PARTS = { locknut: 'una contratuerca', cover: 'un perno de tapa', plug: 'una bujía' }
const placeOf = (makers: boolean): string => (makers ? 'la parada del fabricante' : 'el PMS de compresión')

export const doubts: Words<typeof english> = {
  'doubt.another-figure': 'otra cifra',
  'doubt.another-angle': 'otro ángulo',
  'doubt.meant': ({ meant }) => meant.join(' o '),
  'doubt.figure-of': ({ role, figure }) => `${ROLES[role].toLowerCase()} ${figure}`,
  'doubt.units': ({ role, other, otherMm, mm, slip, apartMm }) =>
    `${ROLES[role]}: la página da dos lecturas. ${other} son ${otherMm} mm, y la página dice ${mm} mm${slip ? `: ${SLIPS[slip]} la otra` : `, ${apartMm} mm de diferencia, más de lo que explica el redondeo`}.`,
  'doubt.range': ({ role, slip: { mm, wide, meant } }) =>
    `${ROLES[role]}: ${mm} mm es ${wide ? 'más abierto' : 'más cerrado'} de lo que se ajusta una válvula.${meantWords(meant)} Vuelva a ver la fuente.`,
  'doubt.tenfold': ({ slip }) => `Una es ${SLIPS[slip]} la otra. ¿Un punto decimal mal puesto, o como está impreso?`,
  'doubt.tighter':
    'El escape se ajusta más cerrado que la admisión. El escape trabaja más caliente, así que lo usual es al revés. ¿Cambiadas, o como está impreso?',
  'doubt.both': ({ wide, meantMm }) =>
    `Las dos cifras son muy ${wide ? 'abiertas' : 'cerradas'} para un motor chico. ¿Quiso decir ${meantMm.join(' y ')} mm?`,
  'doubt.both-mm': ({ mm }) => `${mm.join(' y ')} mm`,
  'doubt.torque': ({ of, thread, nm, most, least, meant }) => {
    const part = thread === null ? PARTS[of] : `una tuerca ${thread}`
    return `${nm} N·m es ${most === null ? `menos de lo que necesita ${part}: ${least} N·m como mínimo` : `más de lo que aguanta ${part}: ${most} N·m como máximo`}.${meantWords(meant)}`
  },
  'doubt.open': ({ valve, deg, makers }) =>
    `Según el árbol de levas, ${the(valve)} no está cerrada en ${placeOf(makers)}, ${deg}°. Uno de los dos datos está mal, o la sujeta un descompresor.`,
  'doubt.open.measures': ({ valve, deg, makers }) => `en ${placeOf(makers)} a ${deg}° se mide ${the(valve)}`,
  'doubt.open.holds': 'según el árbol de levas, ahí está abierta',
  'doubt.left-out': ({ valves }) =>
    `La lista de paradas no tiene lugar para ${listed(valves.map(the))}. ¿Se omitió al escribirla, o el fabricante no la da?`,
  'doubt.left-out.stop': 'a una parada le falta una válvula',
  'doubt.left-out.none': 'el fabricante no da ninguna',
  'doubt.unchecked':
    'Sin datos del árbol de levas nada comprueba esta lista: una válvula puesta en la parada equivocada quedaría muy abierta. ¿Cada línea está como impresa?',
  'doubt.unchecked.read': 'cada línea se leyó dos veces',
  'doubt.unchecked.cam': 'se pueden dar también los datos del árbol',
  'doubt.firing': ({ cylinder, before, deg, meantDeg }) =>
    `${cylinder} encendería a ${deg}° de ${before}.${meantDeg === null ? '' : ` ¿Quiso decir ${meantDeg}°?`} Los ángulos son del ciclo de 720°.`,
  'doubt.exchanged': ({ role, opens, closes }) =>
    `${OF[role].replace(/^./, c => c.toUpperCase())} abre a ${opens}° y cierra a ${closes}°: lo usual es al revés. ¿Cambiadas, o como está impreso?`,
  'doubt.timing': ({ opens, closes }) => `abre ${opens}°, cierra ${closes}°`,
  'doubt.hydraulic':
    'Ninguna válvula tiene ajuste, y se dan holguras. Los botadores hidráulicos no se ajustan con láminas: ¿es el motor correcto, o hay un tornillo o una pastilla?',
  'doubt.hydraulic.measured': 'no se puede ajustar nada: solo se mide',
  'doubt.hydraulic.screw': 'un tornillo o una pastilla',
  'doubt.wide': ({ role, widthMm, figureMm, meantMm }) =>
    `${ROLES[role]}: límites a ${widthMm} mm alrededor de ${figureMm} mm son más anchos que la cifra. ¿Quiso decir ± ${meantMm}?`,
}
