import type { Role } from '../../core/engine'
import type { finding as english } from '../en/finding'
import type { Words } from '../teller'
import { capital, listed, side, the, usual, valveName, whose, within } from './grammar'
import { gap } from './readings'
import { crankTurn } from './turns'
const both = ({ cylinder, role }: { cylinder: string | null; role: Role | null }): string =>
  `los dos balancines${role === null ? '' : role === 'intake' ? ' de admisión' : ' de escape'}${whose(cylinder)}`.replace(
    /(izquierdo|derecho|delantero|trasero)$/,
    '$1s',
  )

const drop = (dropMm: number): string => `${dropMm} mm (${(dropMm / 25.4).toFixed(2)} in)`
const overshot = (times: number): string =>
  times === 1 ? 'Se pasó: una vuelta más contada' : `Se pasó ${times} veces: vueltas de más contadas`

export const finding: Words<typeof english> = {
  'find.turn.label.as-it-runs': 'Gírelo a mano, en su sentido de marcha',
  'find.turn.label': ({ runs, seenFrom, means }, tell) =>
    `Gire ${tell(runs)}, visto desde ${usual(seenFrom)}, con ${usual(means)}`,
  'find.turn-until': ({ until }, tell) => `Gire hasta ${tell(until)}`,
  'find.turn-another': ({ deg, until }, tell) => `Gire ${crankTurn(deg)} más, hasta ${tell(until)}`,
  'find.one-more-turn': ({ until }, tell) => `Otra vuelta completa, hasta ${tell(until)}`,
  'find.one-turn-and-on': ({ until }, tell) => `Una vuelta completa y siga hasta ${tell(until)}`,
  'until.second-time': ({ until }, tell) => `${tell(until)}, por segunda vez`,

  'find.overshot': ({ times }) => overshot(times),
  'find.overshot.sentence': ({ times }) => `${overshot(times)}.`,

  'find.why.line': ({ look, window }, tell) =>
    `${capital(tell(look))} en ${usual(window)}. Sale dos veces por ciclo; los balancines dicen cuál es.`,
  'find.why.once-a-cycle': 'Sale una vez por ciclo, así que da la carrera por sí sola.',
  'find.why.piston-top':
    'El pistón llega arriba dos veces por ciclo; los balancines dicen cuál es. Use varilla de madera o plástico, nunca de acero.',
  'find.why.neither-has-play':
    'Ningún balancín tiene juego: lo más probable es el PMS de escape. El siguiente es el de compresión.',
  'find.why.held-maybe': 'Un descompresor puede tener una abierta. Pasado el punto más alto la suelta: pruebe ahí.',
  'find.why.one-has-play': 'Es la otra carrera, o una válvula sin holgura. Una vuelta más lo dirá.',
  'find.why.ahead': ({ deg }) => `La parada está ${deg}° adelante.`,
  'find.why.try-the-other-top': 'Eso no lo resolvió. Pruebe los dos otra vez en el siguiente PMS.',
  'find.why.tells-most': 'Probar ahí los balancines da la carrera con el menor giro.',
  'find.why.turned-back':
    'Después de girar hacia atrás, la cadena y el descompresor engañan. Dé la vuelta completa en el sentido de marcha.',

  'margin.easy': ({ deg, place }, tell) => `Sobran ${deg}° a cada lado: no importa estar a un dedo de ${tell(place)}.`,
  'margin.with-care': ({ before, after }) => `Sobran ${before}° antes y ${after}° después: pare ahí con cuidado.`,

  'past-top.held': ({ sure, until, at }) =>
    `Un descompresor ${sure ? 'tiene' : 'puede tener'} abierto el escape hasta ${until}° pasado lo más alto; a ${at}° ya lo soltó.`,
  'past-top.not-closed': ({ at }) => `En lo más alto no todas están cerradas; ${at}° después, sí.`,
  'past-top.piston': ({ dropMm, assumed }) =>
    `Pistón ${drop(dropMm)} abajo${assumed ? ' (largo de biela supuesto)' : ''}.`,
  'drop': ({ dropMm }) => drop(dropMm),

  'key.rod-highest': 'Varilla en lo más alto',
  'key.is-there': ({ place }, tell) => `${capital(tell(place))} está ahí`,
  'key.it-is-there': 'Está ahí',

  'feel.again-here': 'Pruebe otra vez aquí',
  'feel.one-should-settle': 'Una prueba debería bastar',
  'feel.both': rockers => `Mueva ${both(rockers)}`,
  'feel.one': ({ valve }) => `Mueva el balancín de ${the(valve)}`,
  'feel.why.released-still': 'Aquí el descompresor ya soltó. Si ahora está flojo, era el descompresor.',
  'feel.why.released': ({ cylinder }) =>
    `Aquí el descompresor ya soltó. Si los dos están flojos, ${cylinder === null ? '' : `el ${side(cylinder)} `}está en compresión.`,
  'feel.why.stroke': 'Los dos flojos: compresión. Ninguno se mueve: PMS de escape, o dos válvulas sin holgura.',
  'feel.why.stroke-of': ({ cylinder }) =>
    `Los dos flojos: el ${side(cylinder)} está en compresión. Ninguno se mueve: está en escape, o dos válvulas sin holgura.`,
  'key.both-slack': 'Los dos flojos',
  'key.both-slack.help': 'cada uno hace clic',
  'key.only-slack': ({ valve }) => `Solo ${within(valve)} flojo`,
  'key.only-slack.help': ({ valve }) => `${within(valve)} no se mueve`,
  'key.neither-moves': 'Ninguno se mueve',
  'key.neither-moves.help': 'nada de juego',
  'key.slack': 'Flojo',
  'key.slack.help': 'hace clic',
  'key.no-play': 'Sin juego',
  'key.no-play.help': 'no se mueve',

  'watch.label': 'Esto da la carrera, hagan lo que hagan los balancines',
  'watch': ({ cylinder, place }, tell) =>
    `Vea abrir y cerrar la admisión${whose(cylinder, true)} y gire hasta ${tell(place)}`,
  'watch.why.no-play-anywhere':
    'Sin juego en ninguno de los dos PMS: quizá dos válvulas sin holgura. Observar la admisión da la carrera.',
  'watch.why.still-open': 'Los balancines no lo resuelven; observar la admisión sí. No aparte la vista.',
  'watch.why.by-school': 'El primer punto más alto después de cerrar la admisión es compresión. No aparte la vista.',
  'key.watched-there': ({ place }, tell) => `Visto; ${tell(place)} está ahí`,
  'key.watched-top': 'Visto; en lo más alto',
  'key.watched.help': 'sin apartar la vista',

  'weighing.label': 'Un momento',
  'weighing': 'Calculando el siguiente giro',
  'weighing.why': 'Se busca el giro que más resuelve con el menor movimiento.',

  'vain.label': ({ valve }) => `${valveName(valve)}: déjela como está`,
  'vain': ({ valve }) => `Alto: aquí no está cerrada ${the(valve)}`,
  'vain.shim':
    'Su pastilla ya es mucho más delgada y la lámina sigue sin entrar: algo la tiene abierta aquí. Déjela y busque otra vez la posición.',
  'vain.screw':
    'El tornillo se abrió mucho y la lámina sigue sin entrar: algo la tiene abierta aquí. Déjela y busque otra vez la posición.',

  'differs.label': ({ valve }) => `${valveName(valve)}: dos lugares, dos medidas`,
  'differs': ({ valve }) => `No toque el tornillo de ${the(valve)}: aquí mide distinto`,
  'differs.why': ({ there, here, unit }) =>
    `Antes medía ${gap({ ...there, unit })} y aquí ${gap({ ...here, unit })}, y su tuerca no se tocó. Una válvula que no cierra del todo mide menos: esta posición no le sirve.`,
  'key.held-open': 'La tiene abierta un descompresor',
  'key.held-open.help': 'mida pasado lo más alto',

  'no-stop.label': ({ valve }) => `${valveName(valve)}: sin parada`,
  'no-stop': ({ valve }) => `Ninguna parada sirve para ${the(valve)}`,
  'no-stop.why':
    'Según la leva de este motor no está cerrada en ninguna de estas paradas. Elija otro método, o continúe y diga por qué.',
  'key.measure-anyway': 'Medir de todos modos',

  'off-stop.label': ({ valve }) => `${valveName(valve)}: no en esta parada`,
  'off-stop': ({ valve }) => `Aquí no se mide ${the(valve)}`,
  'off-stop.flagged': 'La lista del fabricante la nombra aquí, pero según la leva no está cerrada.',
  'off-stop.chance': ({ closed }) => `Probabilidad de que aquí esté bien cerrada: ${closed} %.`,
  'off-stop.turn-comes': ({ stop, place }, tell) => `Le toca en la parada ${stop}, ${tell(place)}.`,
  'key.until-stop': ({ stop }) => `hasta la parada ${stop}`,
  'key.go-on-here': 'siga aquí',
  'key.measure-here': 'Medirla aquí',

  'conflict.label': 'Las respuestas se contradicen',
  'conflict': 'La posición del cigüeñal aún no es segura',
  'conflict.why': ({ place }, tell) =>
    `Ya revisó varias veces y las respuestas siguen sin cuadrar. Un balancín duro puede parecer sin juego: apriete en el lado de la válvula. Luego empiece de nuevo, busque las paradas con otro método, o continúe${place === null ? '' : ` en ${tell(place)}`} y diga por qué.`,
  'key.continue-here': 'Continuar aquí',
  'key.start-over': 'Empezar de nuevo',

  'found.label': 'Encontrado',
  'found': 'Las válvulas están cerradas aquí',

  'said.move': ({ place, times }, tell) => `girado a ${tell(place)}${times > 1 ? `, ${times} veces` : ''}`,
  'said.turns': ({ place, turns }, tell) => `${turns} vuelta${turns > 1 ? 's' : ''} hasta ${tell(place)}`,
  'said.turn': ({ deg }) => (deg < 0 ? `girado atrás ${-deg}°` : `girado ${deg}°`),
  'said.watched': ({ cylinder, place }, tell) => `admisión${whose(cylinder, true)} observada, hasta ${tell(place)}`,
  'said.lost': 'posición perdida',
  'said.seen': ({ place }, tell) => `${tell(place)}: visto`,
  'said.play': ({ valve, slack }) => `${within(valve)}: ${slack ? 'flojo' : 'sin juego'}`,
  'said.push-rods': ({ level }) => `varillas ${level ? 'a nivel' : 'a desnivel'}`,
  'said.rocked': ({ still }) => (still ? 'balanceado, válvulas quietas' : 'balanceado, una válvula se mueve'),
  'said.thumb': ({ pressure }) =>
    pressure ? 'presión en el orificio de la bujía' : 'sin presión en el orificio de la bujía',
  'said.screw-set': ({ valve }) => `tornillo de ${the(valve)} movido`,
  'said.all': ({ of, joint }, tell) => {
    const [first = '', ...rest] = of.map(tell)
    const all = [capital(first), ...rest]
    return joint === ', ' ? all.join(', ') : listed(all)
  },
  'said.capital': ({ of }, tell) => capital(tell(of)),

  'clash.look-or-undo': 'Revise otra vez lo que menos cueste, o deshaga una. Si está seguro de las dos, deje las dos.',
  'clash.undo-one':
    'Deshaga una, o deje las dos si está seguro. Al deshacer un giro la posición del cigüeñal queda sin saber.',

  'ask.rocker': ({ valve }) => `Balancín de ${the(valve)}`,
  'ask.pointer': ({ window }) => `La línea en el índice, en ${usual(window)}`,
  'ask.cam-signs': 'La señal del árbol de levas',
  'ask.rod': ({ cylinder }) => `Varilla blanda en el orificio de la bujía${whose(cylinder)}`,
  'ask.push-rods': ({ cylinder }) => `Puntas de las varillas${whose(cylinder)}`,
  'ask.rocked': ({ cylinder }) => `Cigüeñal balanceado un poco: válvulas${whose(cylinder)}`,
  'ask.thumb': ({ cylinder }) => `Pulgar en el orificio de la bujía${whose(cylinder)}, al llegar aquí`,
  'ask.valve-seen': ({ valve }) => `${valveName(valve)} a la vista`,
  'answer.slack': 'Flojo',
  'answer.no-play': 'Sin juego',
  'answer.level': 'A nivel',
  'answer.not-level': 'A desnivel',
  'answer.both-still': 'Las dos quietas',
  'answer.one-stirs': 'Una se mueve',
  'answer.pressure': 'Presión',
  'answer.none': 'Nada',
  'told.on-until': ({ until }, tell) => `Girado hasta ${tell(until)}`,
  'told.watched': ({ cylinder, place }, tell) =>
    `Vi abrir y cerrar la admisión${whose(cylinder, true)} y giré hasta ${tell(place)}`,
  'told.lost-count': 'Perdí la cuenta, o alguien lo giró',
  'likely': ({ place, percent }, tell) =>
    `${tell(place)}, ${percent > 99.5 ? 'más de 99 %' : `${Math.round(percent)} %`}`,
  'likely.anywhere': 'en cualquier parte',
  'idle.replaced': 'reemplazada por una respuesta posterior',
  'idle.turned-back': 'se había girado atrás: la leva se atrasó',
}
