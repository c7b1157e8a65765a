import type { ValveSight } from '../../core/engine'
import type { places as english } from '../en/places'
import type { Words } from '../teller'
import { listed, markLook, partName, the, whose, within } from './grammar'

const HOW: Record<ValveSight, string> = {
  'just closed': 'recién cerrando',
  'open': 'en apertura',
  'fully open': 'del todo abajo',
  'starts to open': 'empezando a abrir',
}
const UNTIL: Record<ValveSight, string> = {
  'just closed': 'acabe de cerrar',
  'open': 'esté abriendo',
  'fully open': 'esté del todo abajo',
  'starts to open': 'empiece a abrir',
}
const LOOKS: Record<ValveSight, string> = {
  'just closed': 'Acaba de cerrar',
  'open': 'Abierta',
  'fully open': 'Del todo abajo',
  'starts to open': 'Empieza a abrir',
}

export const places: Words<typeof english> = {
  'place.mark': ({ letter }) => letter,
  'place.the-mark': 'la marca',
  'place.top': ({ cylinder }) => `el punto más alto${whose(cylinder)}`,
  'place.past-top': ({ cylinder, dropMm }) => `${dropMm} mm pasado el punto más alto${whose(cylinder)}`,
  'place.cam-sign': 'la señal del árbol de levas',
  'place.valve': ({ valve, sight }) => `${the(valve)} ${HOW[sight]}`,

  'mark.look': ({ letter, shape }) => markLook(letter, shape),
  'until.mark': ({ letter, shape }) => `que coincida ${shape ? markLook(letter, shape) : letter}`,
  'until.the-mark': 'que coincida la marca',
  'until.top': ({ cylinder }) =>
    `que la varilla${cylinder === null ? '' : ` del cilindro${whose(cylinder)}`} deje de subir`,
  'until.past-top': ({ cylinder, dropMm }) =>
    `que el pistón${whose(cylinder)} esté ${dropMm} mm pasado el punto más alto`,
  'until.cam-sign': 'que la señal del árbol de levas esté bien',
  'until.valve': ({ valve, sight }) => `que ${the(valve)} ${UNTIL[sight]}`,

  'still.mark': ({ letter, shape }) => `¿Sigue ${shape ? markLook(letter, shape) : letter} en el índice?`,
  'still.the-mark': '¿Sigue la marca en el índice?',
  'still.top': ({ cylinder }) => `¿Sigue el pistón${whose(cylinder)} en lo más alto?`,
  'still.past-top': ({ cylinder, dropMm }) => `¿Sigue el pistón${whose(cylinder)} ${dropMm} mm abajo?`,
  'still.cam-sign': '¿Sigue bien la señal del árbol de levas?',
  'still.valve': ({ valve, sight }) => `¿Sigue ${the(valve)} ${HOW[sight]}?`,

  'seen.valve': ({ valve, sight }) => `${within(valve)}: visto ${HOW[sight]}`,
  'looks.valve': ({ sight }) => LOOKS[sight],
  'looks.top': 'En lo más alto',
  'looks.past-top': ({ dropMm }) => `${dropMm} mm pasado lo más alto`,
  'part.name': ({ part }) => partName(part),
  'place.of-cycle': ({ stroke, cylinder, pastDeg }) => {
    const top = `PMS de ${stroke === 'exhaust' ? 'escape' : 'compresión'}${cylinder === null ? '' : `, ${partName(cylinder).toLowerCase()}`}`
    return pastDeg === 0 ? top : `${Math.abs(pastDeg)}° ${pastDeg > 0 ? 'después' : 'antes'} del ${top}`
  },
  'list': ({ of }) => listed(of),
}
