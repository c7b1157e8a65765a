import type { Verdict } from '../../core/feeler'
import type { measuring as english } from '../en/measuring'
import type { Words } from '../teller'
import { the, usual, valveName } from './grammar'
import { gap, length } from './readings'

const WAYS = {
  'set it': 'ajústela donde sí',
  'another set': 'use otro juego',
  'try again': 'pruebe una otra vez',
  'go on': 'continúe y diga por qué',
}
/** Lo que prueba una lámina, después de “si roza”. */
const PROVES: Record<Verdict, string> = {
  tight: 'está justa',
  loose: 'está floja',
  in: 'está bien',
  unproved: 'una lámina más',
}
export const VERDICTS: Record<string, string> = {
  'in': 'bien',
  'tight': 'justa',
  'loose': 'floja',
  'unproved': 'sin comprobar',
  'not measured': 'sin medir',
}

export const measuring: Words<typeof english> = {
  'feel.free': 'Libre',
  'feel.drag': 'Roza',
  'feel.pinched': 'Apretada',
  'feel.no-go': 'No entra',
  'feel.free.help': 'pasa con espacio de sobra',
  'feel.drag.help': 'un tirón leve y parejo',
  'feel.pinched.help': 'entra, pero agarra',
  'feel.no-go.help': 'no pasa',
  'feel.free.setting': 'queda floja',
  'feel.drag.setting': ({ by }) =>
    by === 'self-locking nut'
      ? 'ahora quite la llave'
      : `ahora arrime ${by === 'pivot nut' ? 'el tornillo' : 'la tuerca'}`,
  'feel.no-go.setting': 'queda justa',

  'phase.as-found': 'como estaba',
  'phase.before-lock': 'antes de apretar',
  'phase.nipped': 'arrimada',
  'phase.torqued': 'apretada',
  'phase.proof': 'comprobación',
  'phase.proved': 'comprobada',
  'phase.look-again': 'mirar otra vez',

  'valve.phase': ({ valve, phase }, tell) => `${valveName(valve)}, ${tell(phase)}`,
  'valve.is': ({ valve, verdict }) => `${valveName(valve)}, ${VERDICTS[verdict] ?? verdict}`,
  'valve.before-measuring': ({ valve }) => `${valveName(valve)}, antes de medir`,
  'valve.one-more-blade': ({ valve }) => `${valveName(valve)}, una lámina más`,
  'valve.look-again': ({ valve }) => `${valveName(valve)}: mirar otra vez`,

  'blade.try': ({ blade, valve }) => `Pruebe ${blade} en ${the(valve)}`,
  'blade.stack': ({ blades }) => `No hay lámina de esa medida: junte ${['', '', 'dos', 'tres'][blades]}.`,
  'blade.by-how-much': ({ verdict }) => `Está ${VERDICTS[verdict]}; esto muestra por cuánto.`,
  'blade.wanted': wanted => `Se pide ${length(wanted)}.`,
  'blade.tells': ({ refused, drags, free }) => {
    if (refused === drags && drags === free) return 'Se sienta como se sienta, hará falta otra lámina.'
    if (drags === free) return `Si no entra, ${PROVES[refused]}. Si entra, ${PROVES[free]}.`
    if (refused === drags) return `Si pasa libre, ${PROVES[free]}. Si no, ${PROVES[drags]}.`
    if (refused === free) return `Si roza, ${PROVES[drags]}. Libre o no entra: ${PROVES[free]}.`
    return `Si no entra, ${PROVES[refused]}. Si roza, ${PROVES[drags]}. Si pasa libre, ${PROVES[free]}.`
  },

  'still.somewhere': '¿Sigue el cigüeñal donde estaba?',
  'crept': 'El cigüeñal pudo moverse.',
  'crept.reading-worthless': 'Con la válvula abierta, la medida no vale.',
  'key.still-on': ({ place }, tell) => `Sigue en ${tell(place)}`,
  'key.not-moved': 'No se movió',
  'key.not-moved.help': 'como lo dejó',
  'key.it-moved': 'Se movió',
  'key.find-it-again': 'buscarla otra vez',

  'key.set-it': 'Ajustarla',
  'key.set-it.help': 'cuando estén medidas todas aquí',
  'key.set-again': 'Ajustarla otra vez',
  'key.set-again.help': 'afloje la tuerca',

  'by-angle': stands => `Por el ángulo del tornillo queda en ${gap(stands)}: un cálculo.`,
  'cannot-prove': 'Este juego de láminas no puede comprobarla',
  'cannot-prove.why': ({ set, ways }) => {
    const words = ways.map(w => WAYS[w])
    return `Ninguna lámina ni suma de ${set} lo decide: ${words.slice(0, -1).join(', ')}, o ${words.at(-1)}.`
  },
  'still-out': 'Sigue fuera de medida',
  'still-out.why': 'La dejó así. Déjela y diga por qué, o ajústela otra vez.',
  'in-dispute': 'Estas láminas no concuerdan',
  'in-dispute.why': ({ otherSets }) =>
    `Las probó otra vez y dio lo mismo. Límpielas y mídalas${otherSets ? ', use otro juego' : ''}, deshaga una respuesta, o continúe y diga por qué.`,
  'apart.why':
    'En otra posición del cigüeñal estaba bien. Si esta lámina tampoco entra, la posición está mal: no toque el tornillo.',

  'narrower.why':
    'Está bien. Una lámina más aquí, y la misma en lo más alto dirá si un descompresor tiene abierta la válvula.',
  'decompressor.label': '¿Hay descompresor?',
  'decompressor.try': ({ blade, valve }) => `Aquí en lo más alto, pruebe ${blade} en ${the(valve)}`,
  'decompressor.why':
    'Pasado lo más alto entró. Si entra también aquí, ningún descompresor la tiene abierta, y de ahora en adelante puede medir en lo más alto.',
  'key.goes-here-too': 'Entra aquí también',
  'key.no-decompressor': 'no hay descompresor',
  'key.tighter-or-refused': 'Más justa, o no entra',
  'key.decompressor-holds': 'un descompresor la abre',

  'second-place.label': 'Revise si hay descompresor',
  'second-place.complaint': ({ complaint }) => `Queja: “${complaint}”. Los datos no dan descompresor.`,
  'second-place.no-blade': ({ valve }) =>
    `Aquí no entra ninguna lámina en ${the(valve)}, y los datos no dan descompresor.`,
  'second-place.turn.why': 'Si uno abre el escape en lo más alto, ahí ya lo soltó: una lámina lo dirá.',
  'second-place.try': ({ blade, valve }) => `Pasado lo más alto, pruebe ${blade} en ${the(valve)}`,
  'second-place.try.why':
    'En lo más alto esta lámina no pasaba. Si aquí entra, un descompresor abría la válvula: mídala aquí de ahora en adelante.',
  'key.down': ({ dropMm }) => `${dropMm} mm abajo`,
  'key.stopped-there': 'paré ahí',
  'key.wont-go-here-either': 'Tampoco entra aquí',
  'key.it-goes': 'Entra',
  'key.there-is-a-decompressor': 'hay descompresor',

  'prove.label': 'Compruebe',
  'prove.turn-over': ({ place }, tell) => `Dé dos vueltas completas y vuelva a ${tell(place)}`,
  'prove.turn-over.why.as-it-runs':
    'A mano, en el sentido en que gira el motor. Sienta si se traba; vea que nada haya saltado.',
  'prove.turn-over.why': ({ runs, seenFrom }, tell) =>
    `A mano, ${tell(runs)}, visto desde ${usual(seenFrom)}. Sienta si se traba; vea que nada haya saltado.`,
  'key.back-on': ({ place }, tell) => `De vuelta en ${tell(place)}`,
  'key.back-on.help': 'dos vueltas completas',
  'key.overshot': 'Me pasé',
  'key.overshot.once-more': 'di otra vuelta',
  'key.overshot.to-it-again': 'di la vuelta hasta ahí',
  'key.binds': 'Se traba',
  'key.binds.help': 'pare y anótelo',
  'undone.why': 'Se deshizo una respuesta en la que esto se apoyaba.',

  'key.say-why': 'diga por qué',
  'key.continue': 'Continuar',
  'key.leave-it': 'Dejarla',
  'key.leave-for-now': 'Dejarla por ahora',
  'key.not-now': 'Ahora no',
  'key.write-it-down': 'Anotarlo',
  'key.for-the-owner': 'para el dueño',
  'key.write-down': 'anótelo',
  'key.something-odd': 'Hay algo raro',
  'key.find-again': 'Buscar otra vez',
  'key.find-again.help': 'olvidar lo supuesto',
  'key.another-method': 'Otro método',
  'key.another-method.help': 'elija cómo buscar las paradas',
  'key.lost-track': 'Me perdí',
  'key.lost-track.help': 'giré atrás o aparté la vista',
}
