import type { PlugEnd } from '../../core/job/outcomes'
import { formatLength, formatTorque } from '../../core/units'
import type { answers as english } from '../en/answers'
import type { Words } from '../teller'
import { roleName, the, valveName, within } from './grammar'
import { screwTurn } from './turns'

export function gapTold(was: PlugEnd, foundMm: number | null, leftMm: number | null): string {
  const left = leftMm === null ? '' : ` ${formatLength(leftMm, 'mm')} mm`
  if (was === 'new') return `bujía nueva,${left || ' sin medir'}`
  const found = foundMm === null ? '' : `tenía ${formatLength(foundMm, 'mm')} mm, `
  return was === 'set' ? `${found}ajustada a${left}` : `${found}bien`
}

const CHECKED = {
  'right': 'gira, y es el correcto',
  'other': 'era otro',
  'spins': 'el espárrago gira con él',
  'turned back': 'regresado a como estaba y apretado',
}
const CONFIRMED: Record<string, string> = {
  machine: 'máquina',
  spec: 'datos',
  valves: 'válvulas',
  safe: 'seguro',
}
const STEPS: Record<string, string> = {
  ready: 'preparar',
  find: 'buscar',
  measure: 'medir',
  set: 'ajustar',
  prove: 'comprobar',
  close: 'cerrar',
}
export const LOOKS: Record<string, string> = {
  'Gray to brown': 'gris a café',
  'Black or wet': 'negra o mojada',
  'White, blistered': 'blanca, con ampollas',
  'Not looked at': 'no se vio',
}
const GASKETS = { 'new': 'nueva', 'used again': 'usada otra vez', 'compound': 'sellador' }
const RESULTS = { 'clean': 'bien', 'ticks': 'suena', 'weeps': 'gotea', 'will not start': 'no arranca' }

export const answers: Words<typeof english> = {
  'did.confirmed': ({ item }) => {
    const caution = /^cautions-(\w+)$/.exec(item)?.[1]
    return `Confirmado: ${caution ? `precaución, ${STEPS[caution] ?? caution}` : (CONFIRMED[item] ?? item)}`
  },
  'did.readied': ({ lines }) =>
    lines === 0 ? 'Preparativos, uno por uno' : `Preparativos: ${lines} dichos como hechos`,
  'did.temperature': ({ celsius, airC }) => `Culata ${celsius} °C${airC === undefined ? '' : `, aire ${airC} °C`}`,
  'did.rested': ({ hours }) => `Parado ${hours} h`,
  'did.taken-over': 'tomó el trabajo',
  'did.came-off': ({ item }, tell) => `Fuera: ${tell(item)}`,
  'did.put-in': ({ item }) => `Dentro: ${item}`,
  'did.decompressor-tested': ({ there }) =>
    there ? 'Descompresor: abre el escape en lo más alto' : 'Descompresor: no hay, el escape mide igual en lo más alto',
  'did.screw-checked': ({ valve, found }) => `Tornillo de ${the(valve)} revisado: ${CHECKED[found]}`,
  'did.plug-read': ({ look }) => `Bujía: ${LOOKS[look] ?? look.toLowerCase()}`,
  'did.plug-gap': ({ was, foundMm, leftMm }) => `Luz de la bujía: ${gapTold(was, foundMm ?? null, leftMm ?? null)}`,
  'did.finding': ({ words }, tell) => `Hallado: ${tell(words)}`,
  'did.school-chosen': ({ school }, tell) => `Método: ${tell(school).toLowerCase()}`,
  'did.mark-still-there': ({ valve }) => `La marca sigue ahí, ${within(valve)}`,
  'did.crank-moved': 'El cigüeñal se había movido',
  'did.trial': ({ valve, after, trial }, tell) =>
    `${valveName(valve)}${after === '' ? '' : `, ${tell(after)}`}: ${tell(trial)}`,
  'did.after-screw': ({ deg }) => `tornillo ${screwTurn(deg)}`,
  'did.after-nip': 'tuerca arrimada',
  'did.after-torque': 'tuerca apretada',
  'did.estimate': ({ valve, words }) => `${valveName(valve)}: ${words}, un cálculo`,
  'did.blades-taken': ({ set }) => `${set} en mano`,
  'did.target-chosen': ({ target }, tell) => `Ajustar a: ${tell(target).toLowerCase()}`,
  'did.habit-chosen': ({ habit }, tell) => `Al apretar: ${tell(habit).toLowerCase()}`,
  'did.proof-chosen': ({ proof }, tell) => `Prueba: ${tell(proof).toLowerCase()}`,
  'did.lock-by-record': 'Apriete: según lo registrado',
  'did.lock-leaves': 'Apretar deja igual la holgura',
  'did.lock-moves': ({ shiftMm }) =>
    `Apretar la ${shiftMm < 0 ? 'cierra' : 'abre'} ${formatLength(Math.abs(shiftMm), 'mm')} mm`,
  'did.one-at-a-time': 'Un cilindro a la vez',
  'did.fewest-stops': 'Las menos paradas',
  'did.no-wrench': 'Sin torquímetro',
  'did.wrench-taken': ({ wrench, adapter }) => `${wrench} en mano${adapter ? `, con ${adapter}` : ''}`,
  'did.figure-settled': ({ role, figure }, tell) =>
    `Cifra de ${roleName(role).toLowerCase()} decidida: ${tell(figure)}`,
  'did.spec-taken': ({ revision }) => `Revisión ${revision} de los datos tomada`,
  'did.shim-read': ({ valve, engravedMm, measuredMm }) =>
    `Pastilla de ${the(valve)} leída: ${[engravedMm, measuredMm]
      .filter(v => v !== null)
      .map(v => formatLength(v, 'mm'))
      .join(' grabado, ')}${measuredMm === null ? '' : ' medido'}`,
  'did.shim-fitted': ({ valve, mm }) => `${valveName(valve)}: pastilla ${formatLength(mm, 'mm')} puesta`,
  'did.cam-back': 'Árbol de levas montado',
  'did.set-chosen': ({ valve }) => `${valveName(valve)} por ajustar`,
  'did.nut-loosened': ({ valve }) => `Ajuste de ${the(valve)} flojo`,
  'did.prove-turned': ({ turns }) => `${turns} vueltas completas a mano`,
  'did.gate-passed': ({ words }) => `Continuado: ${words}`,
  'did.came-out': ({ item }) => `Fuera otra vez: ${item}`,
  'did.went-back': ({ item }, tell) => `Puesto: ${tell(item)}`,
  'did.gasket': ({ choice }) => `Junta: ${GASKETS[choice]}`,
  'did.tightened': ({ part, torqueNm }) =>
    `${part === 'cover' ? 'Tapa' : 'Bujía'} apretada${torqueNm === null ? '' : `, ${formatTorque(torqueNm)}`}`,
  'did.replaced': ({ words }) => `Cambiado: ${words}`,
  'did.ran': ({ result }) => `Prueba: ${RESULTS[result]}`,
  'did.note': ({ words }) => `Nota: ${words}`,
  'did.next-due': 'Próxima revisión fijada',
  'did.held': ({ words }) => `En espera: ${words}`,
  'did.resumed': 'Reanudado',
  'did.abandoned': ({ words }) => `Abandonado: ${words}`,
  'did.closed': 'Firmado y cerrado',
  'did.reopened': ({ words }) => `Reabierto: ${words}`,
  'did.placed': ({ when }) => `Sentido ${when === 'before' ? 'antes' : 'después'} del giro`,
  'did.turned-back': 'Girado atrás',
  'did.undone': 'Deshecho',

  'step.cold': ({ off }) => `Frío${off ? `, ${off} fuera` : ''}`,
  'step.not-cold': 'Aún no frío',
  'step.stop': ({ stop, of }) => `Parada ${stop} de ${of}`,
  'step.settled': 'Resuelto',
  'step.known': 'Se sabe, siga girando',
  'step.which-stroke': '¿Qué carrera?',
  'step.measured': ({ done, of }) => `${done} de ${of} válvulas`,
  'step.to-set': ({ valves }) => (valves ? `${valves} por ajustar` : 'Nada que ajustar'),
  'step.proved': ({ done, of }) => `${done} de ${of} válvula${of === 1 ? '' : 's'}`,
  'step.to-put-back': ({ parts }) => (parts ? `${parts} por montar` : 'Firmar'),
}
