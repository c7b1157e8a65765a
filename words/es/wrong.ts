import type { wrongs as english } from '../en/wrong'
import type { Words } from '../teller'

const LENGTHS = { bore: 'El diámetro', stroke: 'La carrera', rod: 'El largo de la biela' }
const meantWords = (meant: string[]): string => (meant.length ? ` ¿Quiso decir ${meant.join(' o ')}?` : '')
const ROLES: Record<string, string> = { intake: 'admisión', exhaust: 'escape' }
const FIELDS: Record<string, string> = {
  'name': 'un nombre',
  'sign-in name': 'un nombre de usuario',
  'shop': 'el nombre del taller',
  'time zone': 'una zona horaria',
  'owner': 'el nombre del dueño',
  'machine': 'un nombre para la máquina',
  'tag': 'una etiqueta',
  'letter': 'lo que se le dice al dueño',
  'subject': 'un asunto',
  'task': 'lo que hay que hacer',
  'token': 'un nombre, como el programa que lo usará',
  'maker': 'el fabricante',
  'model': 'el modelo',
  'reason to change': 'el motivo del cambio',
  'reason to send back': 'el motivo',
}
const TASKS = { valves: 'las válvulas de una máquina', task: 'otro trabajo' }
const EXAMPLES = {
  mark: 'letra y grados: T 0, F 346',
  cylinder: 'nombre y ángulo de encendido: Left 0, Right 360',
  sign: 'palabras y grados: los dos puntos se miran 0',
}

const anything = {
  'wrong.eight-characters-or-nothing': 'Ocho caracteres o más, o déjelo vacío.',
  'wrong.missing': 'Falta este dato. Complételo.',
  'wrong.not-a-number': 'Dé un número.',
  'wrong.not-valid': 'No es válido. Revíselo e intente otra vez.',
  'wrong.choose-one': 'Elija una de las respuestas.',
  'wrong.at-least': ({ least }) => `Dé ${least} o más.`,
  'wrong.over': ({ limit }) => `Dé más de ${limit}.`,
  'wrong.at-most': ({ most }) => `Dé ${most} o menos.`,
  'wrong.under': ({ limit }) => `Dé menos de ${limit}.`,
  'wrong.too-few': ({ least }) => `Dé al menos ${least}.`,
  'wrong.too-many': ({ most }) => `Dé ${most} como máximo.`,
  'wrong.too-long': ({ most }) => `Menos de ${most} caracteres.`,
  'wrong.not-known-here': ({ names }) => `Aquí no se conoce: ${names}. Quítelo.`,
  'wrong.changed-meanwhile': ({ now }) =>
    'Alguien cambió esto mientras usted lo tenía abierto' +
    (now === null ? '' : now ? `: ahora dice «${now}»` : ': ahora está vacío') +
    '. Si lo suyo es lo correcto, pulse el botón otra vez.',
  'wrong.write-a-word-or-two': 'Escriba una o dos palabras.',
  'wrong.give-it-a-name': 'Póngale un nombre.',
  'wrong.keep-the-name-under-60': 'El nombre, en menos de 60 caracteres.',
  'wrong.give-the-date-as-year': 'Dé la fecha como año-mes-día.',
  'wrong.give-the-day-as-year': 'Dé el día como año-mes-día, 2026-05-01 por ejemplo.',
  'wrong.give-it-in-mm': 'Délo en mm.',
} satisfies Partial<Words<typeof english>>

const engine = {
  'wrong.length-missing': ({ what }) => `${LENGTHS[what]}: dé una cifra en mm.`,
  'wrong.length-short': ({ what, limitMm }) => `${LENGTHS[what]} debe ser de ${limitMm} mm o más.`,
  'wrong.length-long': ({ what, limitMm }) => `${LENGTHS[what]} no puede pasar de ${limitMm} mm. Revise la unidad.`,
  'wrong.a-torque-under-0-5': 'Un par de menos de 0.5 N·m no puede ser. Revise la unidad.',
  'wrong.a-torque-over-300-n': 'Un par de más de 300 N·m no puede ser. Revise la unidad.',
  'wrong.unit-slip': ({ mm, wide, meant }) =>
    `${mm} mm es ${wide ? 'más abierto' : 'más cerrado'} de lo que se ajusta una válvula.${meantWords(meant)} Vuelva a ver la fuente.`,
  'wrong.a-clearance-give-a-figure': 'Holgura: dé una cifra en mm.',
  'wrong.a-clearance-must-be-0': 'La holgura debe ser de 0 mm o más.',
  'wrong.a-clearance-cannot-be-below': 'La holgura no puede ser menor que cero.',
  'wrong.over-5-mm-is-no': 'Más de 5 mm no es una holgura. Revise la unidad.',
  'wrong.the-figure-must-be-more': 'La cifra debe ser mayor que cero.',
  'wrong.limits-crossed': ({ minMm, maxMm }) =>
    `Los límites están cruzados: ${minMm} no es menor que ${maxMm}.${minMm > maxMm ? ` ¿Quiso decir ${maxMm}–${minMm}?` : ''}`,
  'wrong.figure-outside': ({ figureMm, minMm, maxMm }) =>
    `La cifra de ajuste ${figureMm} está fuera de los límites ${minMm}–${maxMm}.`,
  'wrong.tolerance-too-wide': ({ toleranceMm, figureMm, meantMm }) =>
    `La tolerancia ${toleranceMm} no es menor que la cifra ${figureMm}: permitiría no tener holgura. ¿Quiso decir ± ${meantMm}, o están cambiadas?`,
  'wrong.a-valve-event-is-a': 'Un evento de válvula es un número de grados.',
  'wrong.a-valve-event-of-less': 'Un evento de válvula de menos de −60° no puede ser. Revise el signo.',
  'wrong.a-valve-event-of-more': 'Un evento de válvula de más de 120° no puede ser.',
  'wrong.the-intake-closes-before-it': 'La admisión cierra antes de abrir. Revise los signos.',
  'wrong.the-exhaust-closes-before-it': 'El escape cierra antes de abrir. Revise los signos.',
  'wrong.a-decompressors-arc-lies-between': 'El arco de un descompresor va de −360 a 360 grados.',
  'wrong.the-decompressor-lets-go-before': 'El descompresor suelta antes de sujetar. Revise los signos.',
  'wrong.give-how-far-past-its': 'Diga cuánto debe bajar el pistón después del punto muerto, 6 mm por ejemplo.',
  'wrong.under-1-mm-past-the': 'Menos de 1 mm después es el punto muerto. Elija ese.',
  'wrong.more-than-40-mm-past': 'Más de 40 mm después está fuera de rango. Revise la unidad.',
  'wrong.a-mark-lies-at-0': 'El ángulo de una marca va de 0 a menos de 360 grados.',
  'wrong.say-how-the-cam-sign': 'Diga cómo se ve la seña del árbol de levas cuando está bien.',
  'wrong.a-cam-sign-lies-at': 'El ángulo de una seña del árbol va de 0 a menos de 720 grados.',
  'wrong.a-stop-lies-at-0': 'El ángulo de una parada va de 0 a menos de 720 grados.',
  'wrong.a-firing-angle': 'Un ángulo de encendido va de 0 a menos de 720 grados.',
  'wrong.this-stop-serves-no-valve': 'Esta parada no sirve a ninguna válvula. Nombre al menos una, o quite la parada.',
  'wrong.a-screw-pitch-lies-between': 'El paso de un tornillo está entre 0.3 y 2 mm.',
  'wrong.a-shim-is-5-to': 'Una pastilla mide de 5 a 40 mm de diámetro.',
  'wrong.shims-come-in-steps-of': 'Las pastillas vienen en pasos de 0.01 a 0.1 mm.',
  'wrong.name-the-source-of-the': 'Nombre la fuente de la otra cifra.',
  'wrong.name-the-source-manual-printing': 'Falta la fuente: nombre manual, edición y página, o el boletín.',
  'wrong.give-the-sources-date-as': 'Dé la fecha de la fuente como año-mes-día.',
  'wrong.same-id': ({ what }) =>
    what === 'parts'
      ? 'Dos partes tienen el mismo nombre. Diga cuál es la izquierda y cuál la derecha.'
      : `${what === 'cylinders' ? 'Dos cilindros' : 'Dos válvulas'} tienen la misma clave.`,
  'wrong.give-how-many-fasteners': 'Diga cuántos tornillos son, de 1 a 40.',
  'wrong.torque-of-no-such-thread': ({ part, torqueNm, threadMm, least, most }) =>
    `${part}: ${torqueNm} N·m no es lo usual en una rosca M${threadMm}, de ${Math.ceil(least)} a ${Math.floor(most)} N·m. Revise unidad y rosca.`,
  'wrong.each-cylinder-on-one-head': 'Cada cilindro va en una sola culata.',
  'wrong.count-the-locknuts': 'Cuente las contratuercas: un número entero, de 0 a 16.',
  'wrong.leak-down-in-percent': 'Las fugas son un porcentaje, de 0 a 100.',
  'wrong.no-such-compression': ({ value, unit, meant }) =>
    `${value} ${unit} no es una compresión que muestre un manómetro.${meant.length ? ` ¿Quiso decir ${meant.map(u => `${value} ${u}`).join(' o ')}?` : ' Léala otra vez.'}`,
  'wrong.no-such-cylinder': ({ cylinder }) => `No hay ningún cilindro “${cylinder}”.`,
  'wrong.no-such-valve': ({ valves }) => `No hay ninguna válvula “${valves.join('”, “')}”.`,
  'wrong.cylinder-without': ({ cylinder, roles }) =>
    `${cylinder} no tiene válvula de ${roles.map(role => ROLES[role]).join(' ni de ')}. Cada cilindro necesita las dos.`,
  'wrong.the-marks-have-no-pointer': 'Las marcas no tienen puntero. Diga con qué se alinean.',
  'wrong.no-such-place':
    'Este motor no tiene ese lugar. Nombre una marca, un punto muerto, una bajada de pistón o una seña que tenga.',
  'wrong.stop-elsewhere': ({ crankDeg, awayDeg }) =>
    `La parada está impresa a ${crankDeg}°, pero su lugar queda a ${awayDeg}° de ahí.`,
  'wrong.the-source-measures-at-the':
    'La fuente mide en las paradas del fabricante y aquí no hay ninguna. Póngalas, o elija otra respuesta.',
  'wrong.shimmed-valves-need-the-shims':
    'Las válvulas con pastillas necesitan su diámetro y pasos, 8.30 mm en pasos de 0.05 por ejemplo.',
  'wrong.rod-short': ({ rodMm }) =>
    `Una biela de ${rodMm} mm es más corta que el radio del cigüeñal. Debe pasar bien de media carrera.`,
} satisfies Partial<Words<typeof english>>

const identity = {
  'wrong.a-year-has-four-digits': 'Un año tiene cuatro cifras.',
  'wrong.a-year-before-1900-cannot': 'Un año antes de 1900 no puede ser.',
  'wrong.a-year-after-2100-cannot': 'Un año después de 2100 no puede ser.',
  'wrong.a-key-has-letters-digits': 'Una clave tiene letras, cifras, puntos y guiones, sandlark-245 por ejemplo.',
  'wrong.displacement-is-a-number-of': 'La cilindrada es un número de cm³.',
  'wrong.displacement-must-be-more-than': 'La cilindrada debe ser mayor que cero.',
  'wrong.a-displacement-of-more-than': 'Una cilindrada de más de 9,999 cm³ no puede ser.',
  'wrong.the-last-year-is-before': 'El último año es antes que el primero. Revise los dos.',
  'wrong.say-which-revision-this-is': 'Diga de qué revisión es este cambio.',
  'wrong.choose-what-parts-the-cells': 'Elija el separador.',
  'wrong.choose-csv-or-json': 'Elija csv, json, xlsx u ods.',
  'wrong.models-are-named-by-their': 'Los modelos se nombran por número, hasta mil.',
  'wrong.say-why-you-approve-your': 'Diga por qué aprueba su propio borrador.',
} satisfies Partial<Words<typeof english>>

const shelf = {
  'wrong.give-the-blades-size-as': 'Dé la medida de la lámina como cifra.',
  'wrong.a-blade-under-0-01': 'Nadie hace una lámina de menos de 0.01 mm. Dé su medida.',
  'wrong.a-blade-over-2-mm': 'Una lámina de más de 2 mm no es de calibre. Revise la unidad.',
  'wrong.a-blade-is-good-bent': 'Una lámina está buena, doblada, gastada o falta.',
  'wrong.blade-measured': ({ engravedMm, measuredMm, meantMm }) =>
    `La lámina grabada ${engravedMm} no puede medir ${measuredMm} mm.${meantMm === null ? ' Mídala otra vez.' : ` ¿Quiso decir ${meantMm} mm?`}`,
  'wrong.blade-step': ({ stepMm, tipMm }) =>
    `Una lámina escalonada es más delgada en la punta: ${stepMm} no es más que ${tipMm}.`,
  'wrong.blade-twice': ({ mm }) => `La lámina ${mm} mm está dos veces.`,
  'wrong.give-the-set-a-name': 'Póngale un nombre al juego.',
  'wrong.keep-the-sets-name-under': 'El nombre del juego, en menos de 60 caracteres.',
  'wrong.say-what-the-set-is': 'Diga en qué está grabado el juego: mm o thou.',
  'wrong.a-set-needs-two-blades': 'Un juego necesita al menos dos láminas.',
  'wrong.a-set-of-more-than': 'Un juego tiene 64 láminas como máximo.',
  'wrong.say-what-its-scale-shows': 'Diga qué muestra su escala.',
  'wrong.give-the-least-torque-of': 'Dé el par más bajo de su escala.',
  'wrong.the-least-torque-must-be': 'El par más bajo debe ser mayor que cero.',
  'wrong.give-the-most-torque-of': 'Dé el par más alto de su escala.',
  'wrong.a-wrench-of-more-than': 'Una llave de más de 2000 N·m no es para estas tuercas. Revise la unidad.',
  'wrong.give-the-length-from-the': 'Dé el largo del cuadro al centro del mango, en mm.',
  'wrong.a-wrench-is-50-mm': 'Una llave mide 50 mm o más, del cuadro al centro del mango.',
  'wrong.a-wrench-is-1500-mm': 'Una llave mide 1500 mm como máximo. Revise la unidad.',
  'wrong.the-scales-end-must-be': 'El par más alto debe ser mayor que el más bajo.',
  'wrong.give-its-length-from-square': 'Dé su largo del cuadro a la tuerca, en mm.',
  'wrong.an-adapter-is-1-mm': 'Un adaptador mide 1 mm o más.',
  'wrong.an-adapter-is-400-mm': 'Un adaptador mide 400 mm como máximo. Revise la unidad.',
  'wrong.give-its-angle-in-degrees': 'Dé su ángulo en grados.',
  'wrong.the-angle-is-0-to': 'El ángulo va de 0 a 180 grados.',
  'wrong.give-the-diameter-in-mm': 'Dé el diámetro en mm.',
  'wrong.give-the-thickness-in-mm': 'Dé el espesor en mm.',
  'wrong.say-how-many': 'Diga cuántas.',
  'wrong.count-them-in-whole-pieces': 'Cuente piezas enteras.',
  'wrong.fewer-than-none-cannot-be': 'No puede ser negativo.',
  'wrong.more-than-999-of-one': 'Más de 999 de una medida está fuera de rango.',
} satisfies Partial<Words<typeof english>>

const bench = {
  'wrong.give-a-figure-such-as': 'Dé una cifra, 0.02 o 1 thou por ejemplo.',
  'wrong.no-locknut-should-move-the':
    'Ninguna contratuerca debe mover la holgura más de 0.15 mm. Revise la unidad, o arregle primero el cierre.',
  'wrong.give-a-figure-such-as-0': 'Dé una cifra, 0.15 o 6 thou por ejemplo.',
  'wrong.give-a-figure-of-zero': 'Dé una cifra de cero o más.',
  'wrong.an-estimate-of-more-than': 'Una estimación de más de 2 mm está fuera de rango. Revise la unidad.',
  'wrong.give-the-shims-size-in': 'Dé la medida de la pastilla en mm.',
  'wrong.give-the-plugs-gap': 'Dé la luz de la bujía en mm, thou o pulgadas.',
  'wrong.a-plugs-gap-is': 'La luz de una bujía va de 0.2 a 2 mm. Revise la unidad.',
  'wrong.a-shim-is-0-8': 'Una pastilla tiene de 0.8 a 4 mm de espesor. Revise la unidad.',
  'wrong.give-the-engraved-or-the': 'Dé la medida grabada o la medida con micrómetro.',
  'wrong.give-the-hours-as-a': 'Dé las horas como número.',
  'wrong.hours-cannot-be-below-zero': 'Las horas no pueden ser menos de cero.',
  'wrong.that-is-over-a-year': 'Es más de un año de horas. Revise la cifra.',
  'wrong.give-the-temperature-as-a': 'Dé la temperatura como número.',
  'wrong.under-40-c-is-no': 'Menos de −40 °C está fuera de rango para una culata. Revise la unidad.',
  'wrong.over-250-c-is-not': 'Más de 250 °C está fuera de rango para una culata. Revise la unidad.',
  'wrong.give-the-air-as-a': 'Dé la temperatura del aire como número.',
  'wrong.air-under-40-c-is': 'Aire de menos de −40 °C está fuera de rango.',
  'wrong.air-over-60-c-is': 'Aire de más de 60 °C está fuera de rango. Revise la unidad.',
  'wrong.give-720-to-1440-degrees': 'Dé de −720 a 1440 grados.',
  'wrong.an-events-id-is-a': 'La clave de un evento es un UUID de versión 7.',
  'wrong.this-kind-of-event-is': 'Esta clase de evento no se conoce.',
  'wrong.this-version-of-the-event': 'Esta versión del evento no se conoce aquí. Vuelva a cargar la página.',
  'wrong.the-time-must-be-iso': 'La hora debe ser ISO 8601 con zona.',
  'wrong.the-time-must-be-iso-8601': 'La hora debe ser ISO 8601 con zona, hasta el milisegundo.',
  'wrong.this-practice-engine-is-not': 'Este motor de práctica no se conoce.',
  'wrong.not-said-in-practice': ({ type }) => `“${type}” no se puede responder en un motor de práctica.`,
  'wrong.no-such-answer': ({ type }) => `La respuesta no es un “${type}” válido.`,
  'wrong.a-level-is-1-to': 'Un nivel va de 1 a 4.',
  'wrong.a-run-of-more-than': 'Una práctica de más de un día no se puede guardar.',
  'wrong.more-than-3-000-things': 'Una práctica de más de 3,000 acciones no se puede guardar.',
  'wrong.run-answers': ({ most }) => `Una práctica de más de ${most} respuestas no se puede guardar.`,
} satisfies Partial<Words<typeof english>>

const shop = {
  'wrong.give-what': ({ what }) => `Dé ${FIELDS[what] ?? what}.`,
  'wrong.keep-short': ({ what, most }) => `Dé ${FIELDS[what] ?? what} en menos de ${most} caracteres.`,
  'wrong.that-is-the-old-password': 'Esa es la contraseña que tiene. Elija otra.',
  'wrong.a-short-name-has': 'Un nombre corto tiene de 2 a 40 letras minúsculas, cifras y guiones: patio-norte.',
  'wrong.a-host-is': 'Dé solo el nombre del equipo, sin https:// ni barras: norte.example.com',
  'wrong.a-limit-is': 'Dé un número entero desde 1, o déjelo vacío.',
  'wrong.a-code-has-eight': 'Un código de un solo uso tiene ocho letras y cifras. Lo hace un encargado en Taller.',
  'wrong.use-a-password-of-eight': 'Use una contraseña de ocho caracteres o más.',
  'wrong.give-the-password': 'Dé la contraseña.',
  'wrong.a-sign-in-name-has': 'Un nombre de usuario tiene letras, cifras, punto, guion, @ y ningún espacio.',
  'wrong.that-sign-in-name-is': 'Ese nombre de usuario ya está tomado. Elija otro.',
  'wrong.choose-guided-or-practiced': 'Elija guiado o con práctica.',
  'wrong.choose-lead-or-mechanic': 'Elija jefe o mecánico.',
  'wrong.this-time-zone-is-not': 'Esta zona horaria no se conoce. Elija una como Europe/Lisbon.',
  'wrong.minutes-whole': ({ what }) => `Diga en minutos enteros cuánto llevan ${TASKS[what]}.`,
  'wrong.minutes-least': ({ what }) => `Dé al menos 5 minutos para ${TASKS[what]}.`,
  'wrong.minutes-most': ({ what }) => `Dé 480 minutos como máximo, un día de trabajo, para ${TASKS[what]}.`,
  'wrong.choose-one-of-the-ways': 'Elija una de las maneras de encontrar paradas, o ninguna.',
  'wrong.choose-where-in-the-limits': 'Elija en qué parte de los límites se ajustan las válvulas.',
  'wrong.choose-where-the-blade-is': 'Elija dónde está la lámina al apretar la tuerca.',
  'wrong.say-whether-a-proof-must': 'Diga si una comprobación debe ser un par.',
  'wrong.give-the-e-mail-address': 'Dé el correo como nombre@lugar, o déjelo vacío.',
  'wrong.give-an-address-first': 'Dé primero una dirección.',
  'wrong.give-the-owner': 'Dé el dueño.',
  'wrong.choose-another-owner-than-this': 'Elija otro dueño.',
  'wrong.choose-the-engine-model': 'Elija el modelo de motor.',
  'wrong.a-tag-has-letters-digits':
    'Una etiqueta tiene letras, cifras, punto, guion y espacios, porque se imprime como código.',
  'wrong.choose-hours-km-or-miles': 'Elija horas, km o millas.',
  'wrong.choose-the-one-that-stays': 'Elija el que se queda.',
  'wrong.give-the-meter-reading-as': 'Dé la lectura del medidor como número.',
  'wrong.a-meter-cannot-be-below': 'Un medidor no puede marcar menos de cero.',
  'wrong.that-meter-reading-is-too': 'Esa lectura del medidor es demasiado grande.',
  'wrong.choose-a-machine-at-least': 'Elija al menos una máquina.',
  'wrong.the-paper-is-a4-or': 'El papel es A4 o Carta.',
  'wrong.give-the-year': 'Dé el año.',
  'wrong.give-a-year-of-this': 'Dé un año de 1990 a 2100.',
  'wrong.say-whether-it-wants-the': 'Diga si requiere el motor frío, caliente o es igual.',
  'wrong.choose-the-machine': 'Elija la máquina.',
  'wrong.choose-the-blade-set': 'Elija el juego de láminas.',
  'wrong.twenty-other-things-are-enough': 'Una visita lleva veinte trabajos más como máximo.',
  'wrong.the-id-of-a-request': 'La clave de un pedido es un UUID. Vuelva a cargar la página e intente otra vez.',
  'wrong.this-file-is-empty': 'Este archivo está vacío.',
  'wrong.the-server-was-stopped-in':
    'El servidor se detuvo a la mitad. No se guardó nada de este archivo. Impórtelo otra vez.',
} satisfies Partial<Words<typeof english>>

const figures = {
  'figure.of': ({ typed, reason }, tell) => `“${typed}” ${tell(reason as never)}`,
  'figure.is-no-place-on-a': 'no es una hora de reloj. Escriba la hora que señala la marca, 2 o 2:30 por ejemplo.',
  'figure.is-no-thread-known-here': 'no es una rosca conocida aquí. Escríbala como M6×0.75 o 10-32, o el paso en mm.',
  'figure.no-pitch': ({ thread, pitches }) =>
    `no es un paso de ${thread}. ISO 261 tiene ${pitches.join(' y ')} mm. Un paso propio se puede escribir en mm.`,
  'figure.is-no-line-of-a': 'no es una línea de termómetro. Revise el cable, o escriba la temperatura.',
  'figure.arrived-damaged-from-the-thermometer': 'llegó dañada del termómetro. Lea otra vez.',
  'figure.is-what-no-head-at': 'está fuera de rango para una culata. Revise el sensor del termómetro.',
  'figure.cannot-be-read': ({ example }) => `no se puede leer. Escríbalo como ${EXAMPLES[example]}.`,
  'figure.no-shape': ({ shapes }) => `no es una forma conocida aquí. Elija una de estas: ${shapes.join(', ')}.`,
  'figure.cannot-be-read-type-valve':
    'no se puede leer. Escriba válvula, cifra, punto y coma, fuente: exhaust 0.13–0.17; Boletín 4.',
  'figure.cannot-be-read-type-degrees':
    'no se puede leer. Escriba grados, lugar, dos puntos, válvulas: 14 P: left intake, left exhaust.',
  'figure.counts-on-from-a-line': 'cuenta desde la línea anterior. Dé a la primera línea sus propios grados.',
  'figure.no-cylinder': ({ names }) => `no es un cilindro de aquí. Son: ${names.join(', ')}.`,
  'figure.no-valve': ({ names }) => `no es una válvula de aquí. Son: ${names.join(', ')}.`,
  'figure.no-fasteners': 'no se lee. Escriba cuántos, rosca y largo, como 4 M6 × 20.',
  'figure.no-superseded':
    'no se lee. Escriba válvula, dato viejo, su fuente, qué lo corrige y el día: exhaust 0.20; 1ª edición; Hoja 4; 2024-05-01.',
  'figure.no-place': 'no es un lugar de este motor. Dé la letra de una marca, “top Left”, “rod 6 mm Left” o “sign 1”.',
  'figure.is-not-a-length-type': 'no es una medida. Escriba una cifra como 0.10, 4 thou o .004 in.',
  'wrong.printed-differs': ({ text }) =>
    `«${text}» no es la cifra de al lado. Omítalo o escriba lo que imprime la página.`,
  'wrong.a-key-or-wrench-size':
    'Una llave aquí es de 1,5 a 12 mm y una tuerca de 5 a 24 mm entre caras. Revise la medida.',
  'wrong.a-pin-has-digits': 'Un PIN tiene de 4 a 8 cifras.',
  'wrong.this-pin-is-easily-guessed': 'Este PIN se adivina fácil. Elija cifras que no sean todas iguales ni seguidas.',
  'figure.no-measure': ({ kind }) =>
    ({
      length: 'no es una medida. Escriba una cifra como 57.8, 2 1/4 in o 45 mm.',
      torque: 'no es un par. Escriba una cifra como 10, 8–10 N·m, 12 lbf·ft o 90 lbf·in.',
      temperature: 'no es una temperatura. Escriba una cifra como 35 o 95 F.',
    })[kind],
  'figure.is-below-zero-a-length': 'es menor que cero. Una medida aquí es cero o más.',
  'figure.is-over-a-metre-look': 'pasa de un metro. Revise la unidad.',
  'figure.unknown-unit': ({ unit }) => `tiene la unidad “${unit}”, que aquí no se conoce. Use mm, thou o in.`,
  'figure.no-shim': ({ thinnestMm, thickestMm, meantMm }) =>
    `no es la medida de una pastilla: van de ${thinnestMm} a ${thickestMm} mm.${meantMm === null ? ' Revise la unidad.' : ` ¿Quiso decir ${meantMm} mm?`}`,
  'figure.between-steps': ({ stepMm, belowMm, aboveMm }) =>
    `está entre dos de los pasos de ${stepMm}, ${belowMm} y ${aboveMm}. Léala otra vez; una medida con micrómetro va en su propio campo.`,
  'figure.not-a-number': ({ typed }) => `“${typed}” no es un número.`,
  'figure.either': ({ typed, values: [whole, part] }) =>
    `“${typed}” puede ser ${whole} o ${part}. Escriba ${whole} o ${part}.`,
  'figure.not-a-unit': ({ typed }) => `“${typed}” no es una unidad de holgura. Use mm, thou o in.`,
} satisfies Partial<Words<typeof english>>

export const wrongs: Words<typeof english> = {
  ...anything,
  ...engine,
  ...identity,
  ...shelf,
  ...bench,
  ...shop,
  ...figures,
}
