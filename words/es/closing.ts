import { formatMeter, formatTorque } from '../../core/units'
import type { closing as english } from '../en/closing'
import type { Words } from '../teller'
import { day, the, valveName } from './grammar'

const PART = { cover: 'la tapa', plug: 'la bujía' }

export const closing: Words<typeof english> = {
  'two-devices.label': 'Dos aparatos',
  'two-devices': '¿Fue antes o después del movimiento?',
  'two-devices.why': ({ person, answer }, tell) =>
    `${person}: ${tell(answer)}. Mientras tanto el otro aparato movió el cigüeñal o un tornillo.`,
  'key.before': 'Antes',
  'key.before.help': 'cuenta donde se sintió',
  'key.after': 'Después',
  'key.after.help': 'cuenta tras el movimiento',
  'key.leave-out': 'Quitarla',
  'key.leave-out.help': 'no cuenta',

  'out.label': 'Trapos fuera',
  'out': ({ item }) => `Saque: ${item}`,
  'out.why': 'Un trapo olvidado en la admisión pasa por el motor.',
  'key.out': 'Ya está fuera',
  'key.out.help': 'visto y contado',

  'refit.label': 'Montar',
  'refit': ({ item }, tell) => `Ponga: ${tell(item)}`,
  'refit.plug.why': 'Empiécela a mano: debe entrar fácil varias vueltas antes de usar la llave.',
  'refit.why': 'Empiece a mano por el tornillo difícil; no apriete ninguno hasta que entren todos.',
  'key.back': 'Ya está puesta',
  'key.back.help': 'sujeta',
  'key.leave-off': 'Dejarla fuera',

  'gasket.label': 'Junta',
  'gasket': '¿Qué junta lleva la tapa?',
  'gasket.why': ({ gasket }) => `Los datos dicen: ${gasket}. Limpie antes las caras.`,
  'gasket.why.none': 'Los datos no lo dicen. Limpie antes las caras.',
  'gasket.key.new': 'Una nueva',
  'gasket.key.new.help': 'asentada todo alrededor',
  'gasket.key.used again': 'La misma',
  'gasket.key.used again.help': 'sana, usada otra vez',
  'gasket.key.compound': 'Sellador',
  'gasket.key.compound.help': 'se dejó secar un poco',

  'tighten.cover.label': 'Tornillos de la tapa',
  'tighten.plug.label': 'Bujía',
  'tighten.evenly': ({ part }) => `Apriete parejo ${PART[part]}`,
  'tighten.torque': ({ part, torqueNm }) => `Apriete ${PART[part]} a ${Number(torqueNm.toFixed(1))} N·m`,
  'tighten.evenly.why': 'Los datos no dan par: guíese por el manual. De más se raja o se barre.',
  'tighten.cover.why': ({ torqueNm, pattern }) =>
    `${formatTorque(torqueNm)}, ${!pattern || pattern === 'crosswise' ? 'en cruz' : pattern}, poco a poco.`,
  'tighten.plug.why': ({ torqueNm }) => `${formatTorque(torqueNm)}, cada cable en su bujía.`,
  'key.done': 'Hecho',
  'key.done.even': 'parejo y firme',
  'key.done.wrench': 'con la llave',
  'key.not-done': 'Sin hacer',

  'run.label': 'Prueba',
  'run': 'Hágalo funcionar al aire libre unos minutos',
  'run.why': 'Debe arrancar y quedar en ralentí sin ruido ni fuga. Revise después tapones y tornillos.',
  'run.key.clean': 'Funciona bien',
  'run.key.clean.help': 'sin ruido ni fuga',
  'run.key.ticks': 'Suena',
  'run.key.ticks.help': 'dígaselo al dueño',
  'run.key.weeps': 'Gotea',
  'run.key.weeps.help': 'tapa o tapón',
  'run.key.will not start': 'No arranca',
  'run.key.will not start.help': 'anótelo después',

  'due.label': 'Próxima revisión',
  'due': '¿Cuándo toca la próxima revisión?',
  'due.tell-owner': 'Dígaselo al dueño.',
  'due.no-interval': 'Los datos no dan intervalo. Elija lo que le dirá al dueño.',
  'due.by-interval': 'Según el intervalo de los datos, lo que llegue primero. Dígaselo al dueño.',
  'due.at': ({ use, date, unit }) =>
    [use !== null && formatMeter(use, unit), date !== null && day(Date.parse(date))].filter(Boolean).join(' o ') ||
    'sin fecha',
  'key.due.sooner': 'antes: una válvula puede salirse',
  'key.due.by-spec': 'según los datos',
  'key.another-date': 'Otra fecha',
  'key.choose-day': 'Elegir una fecha',
  'key.choose-day.help': 'dentro de unos meses, o un día',
  'key.type-it': 'escríbala',
  'key.none': 'Ninguna',
  'key.none.help': 'no se promete fecha',

  'sign.label': 'Todo hecho',
  'sign': 'Firme y cierre el trabajo',
  'sign.why': 'La hoja se guarda como se firma. Solo un encargado puede abrirla otra vez.',
  'key.sign': 'Firmar y cerrar',
  'key.sign.help': 'se hace la hoja',
  'key.add-note': 'Agregar nota',
  'key.add-note.help': 'para la hoja',

  'when.use': ({ use, unit, replaced }) => `${formatMeter(Math.round(use), unit)}${replaced ? ' en total' : ''}`,
  'when.use-and-day': ({ use, unit, replaced, atMs }) =>
    `${formatMeter(Math.round(use), unit)}${replaced ? ' en total' : ''}, hacia el ${day(atMs)}`,
  'when.day': ({ atMs }) => day(atMs),
  'cause.first-check': 'Primera revisión',
  'cause.use': ({ use, unit }) => `Cada ${formatMeter(use, unit)}`,
  'cause.year': 'Una vez al año',
  'cause.months': ({ months }) => `Cada ${months} meses`,
  'cause.forecast': ({ valve }) => `${valveName(valve)}, pronóstico`,
  'due.why.nothing': 'Aún sin intervalo ni pronóstico.',
  'due.why.forecast': ({ valve, now }) =>
    `Puede estar fuera de medida ${now ? 'ya' : 'para entonces'} ${the(valve)}. El intervalo del fabricante llegaría tarde.`,
  'due.why.first-check': 'El fabricante pide una primera revisión temprana.',
  'due.why.use-unknown': 'Según el intervalo del fabricante. Aún no se sabe cuánto se usa.',
  'due.why.use': 'Según el intervalo del fabricante, al ritmo que se usa.',
  'due.why.months': 'Según el intervalo del fabricante: la fecha llega antes que las horas o millas.',
  'days': ({ days }) => {
    if (days === 0) return 'hoy'
    const n = Math.abs(days)
    return days < 0 ? `${n === 1 ? '1 día' : `${n} días`} pasado` : n === 1 ? 'mañana' : `en ${n} días`
  },
  'drift.no-visit': 'Aún no alcanza: no hay visita registrada.',
  'drift.one-visit': 'Aún no alcanza: una visita, y la tendencia pide dos.',
  'drift.one-sided': 'Aún no alcanza: una medida quedó abierta de un lado, así que solo limita la tendencia.',
  'drift.no-meter': 'Aún no alcanza: el contador no se leyó en las dos visitas.',
  'drift.not-proved': 'Aún no alcanza: esta válvula no quedó comprobada en una visita y medida en la siguiente.',
}
