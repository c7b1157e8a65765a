import type { Engine } from '../../core/engine'
import { formatMeter, type MeterUnit } from '../../core/units'
import type { ready as english } from '../en/ready'
import type { Words } from '../teller'
import { count, theRole, within } from './grammar'

const lifeWords = ({ use, months }: NonNullable<Engine['plugLife']>, unit: MeterUnit): string =>
  [use !== null && formatMeter(use, unit), months !== null && count(months, 'mes', 'meses')].filter(Boolean).join(' o ')

export const ready: Words<typeof english> = {
  'machine.label': 'Máquina correcta',
  'machine': ({ machine }) => `¿Es esta la ${machine}?`,
  'machine.why': ({ model, tag }) => `Revise la placa y la etiqueta: ${model}, etiqueta ${tag}.`,
  'key.yes': 'Sí',
  'key.yes.machine': 'placa y etiqueta coinciden',
  'key.yes.spec': 'no se conoce boletín posterior',

  'spec.label': 'Datos correctos',
  'spec': '¿Son estos los datos correctos?',
  'spec.why': ({ revision, source }) =>
    `Revisión ${revision}: ${source}. Si un boletín posterior da otras cifras, valen esas.`,

  'ready-card.label': 'Preparativos',
  'ready-card': 'Quite lo que aún no es así',
  'ready-card.why': 'Lo que queda en la lista va a la hoja como usted lo dice. Lo que quita se pregunta enseguida.',
  'key.all-so': 'Todo esto es así',
  'key.all-so.help': 'cada línea que sigue marcada',
  'key.one-by-one': 'Pregúnteme una por una',
  'key.one-by-one.help': 'todavía no se afirma nada',
  'ready-line.machine': ({ machine }) => `Es ${machine}: placa y etiqueta coinciden`,
  'ready-line.spec': ({ revision }) => `La revisión ${revision} es la correcta; no se conoce boletín posterior`,
  'ready-line.cold': 'Frío: parado toda la noche, 12 h o más',
  'ready-line.safe': 'No puede arrancar: cable de bujía fuera y a masa, llave fuera, combustible cerrado, firme',
  'ready-line.off': ({ item }, tell) => `Fuera: ${within(tell(item))}`,
  'ready-line.valves': 'Admisión y escape ubicados en la culata',

  'draft.label': 'Datos en borrador',
  'draft': 'Ningún encargado aprobó estos datos',
  'draft.why': 'Pida a un encargado que los apruebe. O continúe y diga por qué: saldrá en la hoja.',

  'figure.label': 'Dos cifras',
  'figure': ({ role }) => `¿Qué cifra vale para ${theRole(role)}?`,
  'figure.why': ({ own, others }, tell) =>
    `La fuente da ${tell(own)}, o ${others.map(tell).join(', o ')}. Decide un encargado, y dice por qué.`,
  'key.settle-it': 'Decidir',
  'key.settle-it.help': 'un encargado, con motivo',
  'key.continue.with-own': 'con la de los datos; diga por qué',

  'warm.label': 'Motor caliente',
  'warm': '¿Qué tan caliente está la culata?',
  'warm.not-warm': ({ celsius }) => `${celsius} °C no es caliente.`,
  'warm.why': ({ fromC }) =>
    `Esta fuente ajusta en caliente: hágalo funcionar hasta que caliente parejo, ${fromC} °C o más en la culata, como dice el manual. Cuidado con las partes calientes.`,

  'cold.label': 'Motor frío',
  'cold': '¿Qué tan frío está el motor?',
  'cold.over': ({ celsius, limitC }) =>
    `${celsius} °C pasa el límite de ${limitC} °C. En caliente las holguras salen mal.`,
  'cold.not-long-enough': ({ hours, limitC }) =>
    `${hours.toFixed(1)} h parado es menos de 4 h. Mida la culata, o espere a que baje de ${limitC} °C.`,
  'cold.why': ({ limitC }) => `Las holguras se ajustan en frío: culata bajo ${limitC} °C, o 4 horas parado o más.`,
  'key.measure-head': 'Medir la culata',
  'key.measure-head.help': 'escriba la temperatura',
  'key.parked-overnight': 'Parado toda la noche',
  'key.parked-overnight.help': '12 h o más',
  'key.parked-4h': 'Parado 4 h o más',
  'key.parked-4h.help': 'sin funcionar desde entonces',
  'key.type-hours': 'Escribir las horas',
  'key.type-hours.help': 'desde que funcionó',

  'safe.label': 'Seguro',
  'safe': 'Asegúrese de que no pueda arrancar',
  'safe.why':
    'Cable de bujía fuera y a masa, llave fuera, gasolina cerrada; caballete y calzas firmes; limpie alrededor de la tapa y la bujía.',
  'key.all-done': 'Todo hecho',
  'key.all-done.help': 'no puede arrancar',

  'off.label': 'Acceso',
  'off.plug': 'Quite la bujía',
  'off.cover': 'Quite la tapa de válvulas',
  'off.item': ({ item }) => `Quite: ${item}`,
  'off.why': 'A la bandeja marcada; anote tornillos de largo distinto. Anote también lo que mete, trapos incluidos.',
  'off.plug.why':
    'Quite el cable por el capuchón y limpie alrededor de la bujía antes. ' +
    'Tape el agujero: nada debe caer dentro. Anote aquí lo que mete.',
  'off.cover.why': ({ pattern }) =>
    `Afloje los tornillos ${!pattern || pattern === 'crosswise' ? 'en cruz' : pattern}, poco a poco. Trapo debajo; busque golpes.`,
  'key.off': 'Ya está fuera',
  'key.off.help': 'en la bandeja',
  'key.stays-on': 'Se queda puesta',
  'key.removed-else': 'Quité otra cosa',
  'key.removed-else.help': 'súmela a la lista',
  'key.put-in': 'Metí algo',
  'key.put-in.help': 'trapo, cinta, tapón',

  'plug.label': 'Bujía',
  'plug': '¿Cómo se ve la bujía?',
  'plug.why': 'Gris claro a café es bueno; lo demás vale la pena decírselo al dueño.',
  'plug.gap': ({ gap }) => `Luz ${gap}.`,
  'plug.gray-to-brown': 'Gris a café',
  'plug.gray-to-brown.help': 'quema bien',
  'plug.black-or-wet': 'Negra o mojada',
  'plug.black-or-wet.help': 'rica, aceite o chispa débil',
  'plug.white-blistered': 'Blanca, con ampollas',
  'plug.white-blistered.help': 'pobre o caliente',
  'plug.not-looked-at': 'No la vi',
  'plug.not-looked-at.help': 'no se afirma nada',
  'plug.all-brown': ({ count }) => `Las ${count} gris a café`,
  'plug.all-brown.help': 'se miró cada una',
  'plug.life': ({ life, unit }) => `Vida útil ${lifeWords(life, unit)}; no consta cuándo se puso esta.`,
  'plug.served': ({ date, use, months, unit, life, over }) => {
    const since = use === null ? `hace ${count(months, 'mes', 'meses')}` : `hace ${formatMeter(use, unit)}`
    const service = life ? ` Vida útil ${lifeWords(life, unit)}${over ? ': ya pasó, ponga una nueva' : ''}.` : ''
    return `Nueva el ${date}, ${since}.${service}`
  },
  'plug-gap': ({ gap }) => `¿La luz de la bujía es ${gap}?`,
  'plug-gap.one': ({ item, gap }, tell) => `${tell(item)}: ¿la luz es ${gap}?`,
  'plug-gap.why':
    'Mida con calibre de alambre; una lámina plana lee de menos en un electrodo gastado. Doble solo el de fuera.',
  'key.gap-right': 'Está bien',
  'key.gap-right.help': ({ gap }) => `medida, ${gap}`,
  'key.gap-set': 'Ajustada',
  'key.gap-set.help': ({ gap }) => `doblada a ${gap}`,
  'key.plug-new': 'Bujía nueva',
  'key.plug-new.help': ({ gap }) => `comprobada a ${gap}`,
  'key.gap-measured': 'Ajustada; antes tenía …',
  'key.gaps-right': ({ count }) => `Las ${count} bien`,

  'valves.label': 'Cuál válvula es cuál',
  'valves': 'Ubique admisión y escape en la culata',
  'valves.why': 'La admisión va del lado del carburador, el escape del lado del silenciador.',
  'key.found-both': 'Encontré las dos',
  'key.found-both.help': 'como en el dibujo',
  'key.not-as-drawn': 'No es como el dibujo',

  'part.cover': 'Tapa de válvulas',
  'part.plug': 'Bujía',
  'spec-change.refused':
    'Cambia marcas, leva, válvulas o cilindros, en los que se apoya lo visto aquí. Abandone este trabajo y abra uno nuevo para usarla.',
}
