import type { Feel } from '../../core/feeler'
import type { Stroke } from '../../core/practice'
import type { practice as english } from '../en/practice'
import type { Words } from '../teller'
import { capital, side, the, valveName } from './grammar'
import { FEELS as TRIED } from './readings'

const ENGINES: Record<string, string> = {
  'single': 'Un cilindro, varillas, T en el volante',
  'single-decompressor': 'Un cilindro con descompresor registrado',
  'single-maybe': 'Un cilindro; puede haber descompresor',
  'single-no-marks': 'Un cilindro, tuercas de pivote, sin marcas: con varilla',
  'single-assumed': 'Un cilindro sin datos del árbol de levas',
  'four-valve': 'Un cilindro con cuatro válvulas',
  'twin-360': 'Dos cilindros, los dos pistones suben juntos',
  'twin-180': 'Dos cilindros, pistones opuestos',
  'twin-270': 'Dos cilindros con cigüeñal de 270°',
  'v-90': 'V de 90° con varillas y descompresores',
  'v-45': 'V de 45°',
  'shimmed': 'Dos cilindros con las paradas del fabricante y admisiones con pastillas',
  'four': 'Cuatro en línea',
}
const FEELS: Record<Feel, string> = {
  'free': 'pasa con espacio de sobra',
  'drag': 'un roce suave y parejo',
  'pinched': 'entra y queda sujeta',
  'no-go': 'no entra',
}
const STROKES: Record<Stroke, string> = {
  intake: 'carrera de admisión',
  compression: 'carrera de compresión',
  power: 'carrera de fuerza',
  exhaust: 'carrera de escape',
}
const VERDICTS = { in: 'en medida', tight: 'justa', loose: 'floja', unproved: 'sin comprobar' }
const NUTS = { loose: 'Aflojó', nipped: 'Arrimó', locked: 'Apretó' }
const ofCylinder = (cylinder: string | null): string => (cylinder === null ? '' : `, cilindro ${side(cylinder)}`)

export const practice: Words<typeof english> = {
  'practice-engine': ({ id }) => ENGINES[id] ?? id,
  'practice-level.1': 'Primera vez',
  'practice-level.1.about':
    'El motor está en corte, se dice el roce de la lámina y el Banco guía. Una válvula está fuera.',
  'practice-level.2': 'Solo marcas',
  'practice-level.2.about':
    'Motor cerrado, sin varilla. Usted dice el roce. El cigüeñal empieza cerca del punto muerto equivocado.',
  'practice-level.3': 'Sin marcas',
  'practice-level.3.about': 'La ventana queda tapada: solo varilla y balancines. Una válvula no tiene holgura.',
  'practice-level.4': 'Todo miente un poco',
  'practice-level.4.about':
    'Culata tibia, láminas gastadas, cadena floja, tuercas que mueven la holgura y quizá un descompresor.',

  'felt.blade': ({ feel }) => FEELS[feel],
  'felt.rocker': ({ slack }) => (slack ? 'hace clic' : 'no se mueve'),
  'felt.rod-top': 'en el punto muerto',
  'felt.rod-down': ({ down }) => `${down} mm abajo`,
  'felt.rests': 'se queda donde está',
  'felt.runs-on': 'sigue de largo después de la compresión',

  'mark.where': ({ deg, cylinder, stroke }) => `${deg}° del ciclo${ofCylinder(cylinder)}, ${STROKES[stroke]}`,
  'mark.place': ({ place }, tell) => `Usted dijo: está en ${tell(place)}`,
  'mark.off': ({ deg }) => `a ${deg}°`,
  'mark.away': ({ deg, atDeg }) => `Estaba a ${deg}°: el cigüeñal estaba en ${atDeg}°.`,
  'mark.backward': 'Llegó girando hacia atrás',
  'mark.behind': ({ deg }) => `El árbol quedó ${deg}° atrás. Mejor dé la vuelta completa.`,
  'mark.turns': ({ turns }) => `Usted dijo: ${turns === 1 ? 'una vuelta completa' : `${turns} vueltas completas`}`,
  'mark.turned': ({ deg }) => `Fueron ${deg}°, así que la carrera es otra.`,
  'mark.rocker': ({ valve, slack }) =>
    `Usted dijo: el balancín de ${the(valve)} ${slack ? 'tiene juego' : 'no tiene juego'}`,
  'mark.unfelt': ({ valve }) => `Respondió por ${the(valve)} sin tocarla`,
  'mark.guess': 'Adivinar no prueba nada, se acierte o no.',
  'mark.it-felt': ({ felt }, tell) => `En verdad ${tell(felt)}.`,
  'mark.ground': ({ wrongStroke, valve, where }, tell) =>
    `${wrongStroke ? 'Carrera equivocada' : 'Aquí no está cerrada'}: midió ${the(valve)} a ${tell(where)}`,
  'mark.lifted': ({ lifted }) => `Estaba abierta ${lifted}, así que la lectura no prueba nada.`,
  'mark.warm': ({ headC }) => `Midió a ${headC} °C`,
  'mark.cold': ({ limitC, less }) => `Frío es ${limitC} °C. Caliente mide ${less} menos.`,
  'mark.trial': ({ blade, valve, feel }) => `Usted dijo: ${blade} en ${the(valve)}: ${TRIED[feel]}`,
  'mark.it-was': ({ feel, force }) => `Era ${TRIED[feel]}, ${force} N.`,
  'mark.unslid': ({ blade }) => `Nombró ${blade} sin meterla`,
  'mark.screw': ({ valve, where }, tell) => `Giró el tornillo de ${the(valve)} a ${tell(where)}`,
  'mark.held': ({ held }) => `La válvula estaba abierta ${held}, así que quedaría así de holgada.`,
  'mark.called': ({ valve, verdict }) => `Dijo que ${the(valve)} está ${VERDICTS[verdict]}`,
  'mark.it-is': ({ verdict, gap }) => `Está ${VERDICTS[verdict]}: ${gap}.`,
  'mark.since-lock': ({ deg }) => `Fueron ${deg}° desde que se apretó la última tuerca.`,
  'mark.two-turns': 'Dos vueltas completas',
  'mark.made': 'hechas',
  'mark.effect.loose': 'Hace ruido, abre tarde y gasta la punta y el tornillo.',
  'mark.effect.tight-intake': 'No asienta: pierde y arranca mal.',
  'mark.effect.tight-exhaust': 'No asienta: se quema.',
  'mark.effect.nut': 'La tuerca está floja: el tornillo se sale y la válvula cae.',
  'mark.effect.in': 'Funciona como quiso el fabricante.',
  'mark.believed': ({ what }) =>
    what === 'measured' ? 'medida' : what === 'not measured' ? 'sin medir' : VERDICTS[what],
  'mark.left-loose': ({ valve }) => `Dejó flojo el ajuste de ${the(valve)}`,
  'mark.never-measured': ({ valve }) => `Nunca midió ${the(valve)}`,
  'mark.stands': ({ gap }) => `Está en ${gap}.`,
  'mark.left': ({ valve, inSpec }) => `${valveName(valve)} quedó ${inSpec ? 'en medida' : 'fuera de medida'}`,
  'mark.found': ({ what }) =>
    ({
      'found': 'Encontró el PMS de compresión',
      'elsewhere': 'Tomó otro punto por el PMS de compresión',
      'not found': 'Aún no ha encontrado el PMS de compresión',
    })[what],
  'mark.not-proved': 'Sin comprobar',
  'mark.prove': 'Dos vueltas completas a mano, y luego cada válvula otra vez.',

  'replay.before': 'Antes de cualquier respuesta',
  'replay.rockers': ({ felt }) =>
    `Balancines: ${felt.map(({ valve, slack }) => `${the(valve)} ${slack ? 'con juego' : 'sin juego'}`).join(', ')}`,
  'replay.place': 'Dijo dónde está el cigüeñal',
  'replay.trial': ({ blade, valve, feel }) => `${blade} en ${the(valve)}: ${TRIED[feel]}`,
  'replay.two-turns': 'Usted dijo: dos vueltas completas',
  'replay.shim': ({ valve, fitted }) => `${fitted ? 'Puso' : 'Leyó'} una pastilla de ${the(valve)}`,
  'replay.temperature': ({ headC }) => `Usted dijo: ${headC} °C`,
  'replay.answered': 'Respondió al Banco',
  'replay.screw': ({ valve, deg }) =>
    `Giró el tornillo de ${the(valve)} ${Math.abs(deg)}° ${deg < 0 ? 'a la izquierda' : 'a la derecha'}`,
  'replay.nut': ({ valve, to }) => `${NUTS[to]} la contratuerca de ${the(valve)}`,
  'replay.called': ({ valve, verdict }) => `Dijo que ${the(valve)} está ${VERDICTS[verdict]}`,
  'replay.stroke': ({ stroke, cylinder }) => `${capital(STROKES[stroke])}${ofCylinder(cylinder)}`,
}
