import type { Adjuster } from '../../core/engine'
import type { SetBy } from '../../core/job'
import { formatLength, formatTorque } from '../../core/units'
import type { setting as english } from '../en/setting'
import type { Words } from '../teller'
import { the, valveName } from './grammar'
import { FEELS } from './readings'
import { flats, screwTurn } from './turns'

const PARTS: Record<SetBy, { turned: string; theTurned: string; nut: string; theNip: string }> = {
  'screw': { turned: 'tornillo', theTurned: 'el tornillo', nut: 'la contratuerca', theNip: 'la tuerca' },
  'pivot nut': {
    turned: 'tuerca de pivote',
    theTurned: 'la tuerca de pivote',
    nut: 'el tornillo de seguro',
    theNip: 'el tornillo de seguro',
  },
  'self-locking nut': {
    turned: 'tuerca de pivote',
    theTurned: 'la tuerca de pivote',
    nut: 'la tuerca de pivote',
    theNip: 'la tuerca de pivote',
  },
  'pivot nut under a second': {
    turned: 'tuerca de pivote',
    theTurned: 'la tuerca de pivote',
    nut: 'la tuerca de encima',
    theNip: 'la tuerca de encima',
  },
}
const sized = (mm: number | null): string => (mm === null ? '' : ` de ${mm} mm`)
const TOOLS: Record<Adjuster['head'], string> = {
  'slot': 'un desarmador que llene la ranura',
  'square': 'una llave de cuadro',
  'hex socket': 'una llave allen',
  'Torx': 'una llave Torx',
}

export const setting: Words<typeof english> = {
  'adjuster.tools': ({ by, head, headMm, nutMm }) => {
    const key = `${TOOLS[head]}${sized(headMm)}`
    const wrench = `una llave${sized(nutMm)}`
    if (by === 'self-locking nut') return `${wrench} en la tuerca de pivote`
    if (by === 'pivot nut under a second') return `${wrench} en la tuerca de pivote y otra en la de encima`
    return by === 'pivot nut'
      ? `${key} para el seguro, ${wrench} en la tuerca`
      : `${key} para el tornillo, ${wrench} en la contratuerca`
  },
  'adjuster.gain.valve-end': 'Tornillo del lado de la válvula: la holgura se mueve igual que el tornillo.',
  'adjuster.gain.pushrod-end': ({ rockerRatio }) =>
    `Tornillo del lado de la varilla: la holgura se mueve ${rockerRatio} veces lo del tornillo.`,
  'adjuster.gain.pivot-nut': ({ gain }) => `Tuerca de pivote: la holgura se mueve ${gain} veces su avance.`,

  'set.no-adjuster': ({ valve }) => `No tiene ajuste ${the(valve)}`,
  'set.no-adjuster.why': 'Aquí no hay nada que girar: se arregla en el asiento, la punta o el botador.',

  'set.cannot.label': ({ valve }) => `${valveName(valve)}: no se puede ajustar`,
  'set.spins': ({ valve }) => `El espárrago de ${the(valve)} gira con su tuerca`,
  'set.spins.why': 'Girar aquí no mueve la holgura. Primero hay que fijar el espárrago: anótelo para el dueño.',

  'set.far.label': ({ valve }) => `${valveName(valve)}: lejos de como estaba`,
  'set.far': ({ by, turns }) => `Alto: ${PARTS[by].theTurned} está a ${turns.toFixed(1)} vueltas de donde estaba`,
  'set.far.why': ({ by, closed }) =>
    `Una válvula nunca está tan lejos. ¿Es ${PARTS[by].theTurned} correcto, y está cerrada la válvula? Probabilidad de que aquí esté bien cerrada: ${closed} %.`,

  'set.left.label': ({ valve }) => `${valveName(valve)}: como estaba`,
  'set.left': ({ valve }) => `Se queda como estaba: ${the(valve)}`,
  'set.left.why':
    'Girar su tornillo no la trajo a su medida aquí: puede que la válvula no esté cerrada. ' +
    'Busque otra vez la posición, o déjela y diga por qué.',

  'set.without-blade': ({ set, others }) =>
    `Ninguna lámina ni suma de ${set} puede comprobar estos datos. Ajuste por el ángulo del tornillo, como cálculo, o use ${others.length ? others.join(' o ') : 'un juego más fino'}.`,

  'set.rounds.label': ({ valve, rounds }) => `${valveName(valve)}, ajustada ${rounds} veces`,
  'set.rounds': ({ valve }) => `No se queda donde la ajusta: ${the(valve)}`,
  'set.rounds.why':
    'Revise la rosca, la tuerca y el asiento antes de otra ronda. Déjela y diga por qué, o haga una ronda más.',

  'set.to-be-set.label': ({ valve }) => `${valveName(valve)}, por ajustar`,
  'set.loosen': ({ valve, by }) =>
    by === 'self-locking nut'
      ? `Ponga la llave en la tuerca de pivote de ${the(valve)}`
      : `Afloje ${PARTS[by].nut} de ${the(valve)}`,
  'set.loosen.note': ({ head }) =>
    `Antes fíjese a dónde apunta ${head === 'slot' ? 'la ranura' : 'la llave'}: marque un extremo.`,

  'set.was-in': 'Como se encontró estaba dentro de los límites, y desde entonces no se ajustó nada.',
  'set.was-in.feel-again': ({ opens }) =>
    `Pruebe las láminas otra vez antes de ${opens === 'nut' ? 'aflojarla' : 'sacar el árbol'}: ` +
    '«Deshacer» quita la última respuesta.',

  'set.nipped.label': ({ valve }) => `${valveName(valve)}, arrimada`,
  'set.it-moved': ({ by }) =>
    by === 'self-locking nut' ? 'Se movió: ponga la llave otra vez' : `Se movió: afloje ${PARTS[by].theNip} otra vez`,
  'set.it-moved.why': 'La siguiente ronda compensa lo que mueve la tuerca.',

  'set.lock.label': ({ valve }) => `${valveName(valve)}, apretar`,
  'set.lock': ({ by, blade }) =>
    by === 'self-locking nut'
      ? `Deje la tuerca como está, pruebe ${blade} otra vez`
      : `Apriete ${PARTS[by].theNip}, pruebe ${blade}`,
  'set.torque': ({ by, blade, torqueNm }) =>
    `Apriete ${PARTS[by].theNip} a ${Number(torqueNm.toFixed(1))} N·m, pruebe ${blade}`,
  'set.own-grip':
    'Esta tuerca se sujeta por su propio agarre en la rosca. Si giró fácil, está gastada: cámbiela y ajuste la válvula otra vez.',
  'set.torque.none': 'Los datos no dan par: apriete firme, con el tornillo quieto.',
  'set.torque.by-hand': ({ torqueNm }) => `${formatTorque(torqueNm)}.`,
  'set.torque.wrench': ({ torqueNm, wrench, at }) => `${formatTorque(torqueNm)}, ${wrench} en ${at}.`,
  'set.torque.adapter': ({ wrench, adapter, at }) => `Ponga ${wrench} en ${at}: ${adapter} va en línea.`,
  'set.blade-in': 'Deje la lámina puesta al apretar: pare si la agarra.',
  'set.blade-out': 'Saque la lámina al apretar: si la agarra, se arruina.',

  'set.no-change.label': ({ valve }) => `${valveName(valve)}: sin cambio`,
  'set.no-change': ({ valve, by }) => `¿Es ${PARTS[by].theTurned} de ${the(valve)}, y gira?`,
  'set.no-change.why': ({ by }) =>
    `Media cara o más, y la lámina se siente igual. Puede ser ${PARTS[by].theTurned} de otra válvula, o el espárrago gira con su tuerca.`,

  'set.before-lock.label': ({ valve }) => `${valveName(valve)}, antes de apretar`,
  'set.nip': ({ by, blade }) =>
    by === 'self-locking nut'
      ? `Quite la llave de la tuerca, pruebe ${blade}`
      : `Sujete ${PARTS[by].theTurned}, arrime ${PARTS[by].theNip}, pruebe ${blade}`,
  'set.nip.by-angle': 'Por el ángulo del tornillo está en medida: apriete y compruebe con láminas.',
  'set.nip.as-near': 'Con este juego y tornillo no se acerca más: apriete y vea qué dicen las láminas.',
  'set.nip.felt': ({ blade, feel }) => `${blade}: ${FEELS[feel]}.`,
  'set.nip.with-shift': 'Con lo que mueve la tuerca queda en medida.',
  'set.nip.hold-still': 'Gira junto con la tuerca: sujételo.',

  'set.feel-again': ({ valve, blade }) => `Pruebe ${blade} en ${the(valve)} otra vez`,
  'set.feel-again.why': 'El cigüeñal se movió: pruebe una vez más antes de girar el tornillo.',
  'set.telltale': ({ valve, blade }) => `Pruebe ${blade} en ${the(valve)} ahora`,
  'set.telltale.why': ({ by, blade }) =>
    `${blade} no entraba antes de abrir. Si ahora entra, ${PARTS[by].theTurned} funciona; si no, quizá no mueve el balancín.`,
  'set.turn': ({ by, deg, blade }) => `Gire ${PARTS[by].theTurned} ${screwTurn(deg)}, pruebe ${blade}`,
  'set.turn.should-drag': ({ blade }) => `${blade} pasa libre; tiene que rozar.`,
  'set.turn.how-far': ({ deg, doubt }, tell) => `Son ${flats(deg)}, ${tell(doubt)}.`,

  'key.loose': 'Ya está floja',
  'key.wrench-is-on': 'La llave está puesta',
  'key.loose.help': ({ by }) => `${PARTS[by].theTurned} no se movió`,
  'key.loose.one-more-round': 'una ronda más',
  'key.loose-noted': 'Floja; anotado',
  'key.loose-noted.help': 'a dónde apunta la marca, como 2:30',
  'key.wont-budge': 'No cede',
  'key.leave-as-it-is': 'Dejarla como está',
  'key.once-more': 'Una vez más',
  'key.once-more.help': 'la tuerca está floja otra vez',
  'key.turned-back-and-locked': 'Regresado y apretado',
  'key.turned-back-and-locked.help': 'como estaba',
  'key.right-screw': 'Gira, y es el correcto',
  'key.right-screw.help': 'seguir',
  'key.other-screw': 'Era otro',
  'key.other-screw.help': 'ese ya lo regresé',
  'key.stud-turns': 'El espárrago gira con él',
  'key.stud-turns.help': 'no se puede ajustar',

  'wrench.too-long': ({ adapter, wrench }) =>
    `${adapter} hacia atrás es más largo que ${wrench}. Póngalo a 90° o derecho.`,
  'wrench.off-scale': ({ settingNm, under, wrench, scale }) =>
    `${formatTorque(settingNm)} queda ${under ? 'por debajo' : 'por encima'} de la escala de ${wrench}, ${scale}. Use otra llave.`,
  'wrench.out-of-date': ({ wrench, date }) => `A ${wrench} le tocaba calibración el ${date}.`,

  'shim.with-new.phase': 'con su pastilla nueva',
  'shim.every-blade': 'Hasta ahora entró cada lámina',
  'shim.every-blade.why':
    'La medida no dice qué pastilla necesita. Pruebe láminas más gruesas, o déjela y diga por qué.',
  'shim.label': ({ valve }) => `${valveName(valve)}, por su pastilla`,
  'shim.read': ({ valve }) => `Lea la pastilla de ${the(valve)}`,
  'shim.read.why':
    'Para eso sale el árbol de levas: marque la cadena, guarde las guías. Mida también la pastilla: el grabado se gasta.',
  'shim.in.label': 'Pastillas puestas',
  'shim.cam-back': 'Monte el árbol de levas, cadena en sus marcas',
  'shim.cam-back.why':
    'Apriete parejo los tornillos de los puentes, al par del manual. Gire suave a mano: no debe trabarse. Luego busque otra vez la parada.',
  'shim.none-would-do': ({ valve }) => `Ninguna pastilla deja en medida ${the(valve)}`,
  'shim.none-would-do.why': 'Ninguna medida disponible queda dentro de los límites.',
  'shim.put-back': ({ size, valve }) => `Ponga de nuevo ${size} en ${the(valve)}`,
  'shim.fit': ({ size, valve }) => `Ponga ${size} en ${the(valve)}`,
  'shim.sum': ({ fitted, measured, wanted, makes }) =>
    `${fitted} puesta + ${measured} medido − ${wanted} deseado = ${makes}.`,
  'shim.gives': ({ clearance }) => `Da ${clearance} mm.`,
  'shim.no-clearance': 'No había nada de holgura: es un primer cálculo, hay que volver a medir.',
  'shim.number-side': 'Número hacia la válvula.',
  'shim.from.stock': 'del estante',
  'shim.from.bought': 'por comprar',
  'shim.from.valve': ({ valve }) => `de ${the(valve)}`,
  'shim.from.stays': 'se queda',
  'shim.from.stock.sentence': 'Del estante.',
  'shim.from.bought.sentence': 'Por comprar.',
  'shim.from.valve.sentence': ({ valve }) => `De ${the(valve)}.`,
  'shim.from.stays.sentence': 'Se queda.',
  'key.shim-read': 'Leída',
  'key.shim-read.help': 'grabado y medida',
  'key.shim-in': ({ size }) => `${size} puesta`,
  'key.another-size': 'Otra medida',
  'key.some-size': 'Poner alguna',
  'key.cam-back': 'Árbol montado',
  'key.cam-back.help': 'girado a mano',
  'figure.outside': ({ figure, leastMm, mostMm }, tell) =>
    `${tell(figure)} queda fuera de las dos cifras impresas, ${formatLength(leastMm, 'mm')} a ${formatLength(mostMm, 'mm')} mm. Elija entre ellas, o cambie los datos.`,
}
