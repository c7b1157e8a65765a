import type { MeterUnit } from '../../core/units'
import type { FileKind, refusals as english, ShopThing } from '../en/refusals'
import type { Words } from '../teller'
import { count, listed, valveName } from './grammar'
import { keeping } from './keeping'
import { trust } from './screens/trust'

const THINGS: Record<ShopThing, string> = {
  'adapter': 'ese adaptador',
  'address': 'esa dirección',
  'blade set': 'ese juego de láminas',
  'calendar': 'ese calendario',
  'device': 'ese aparato',
  'import': 'esa importación',
  'job': 'ese trabajo',
  'machine': 'esa máquina',
  'model': 'ese modelo',
  'owner': 'ese dueño',
  'person': 'esa persona',
  'photo': 'esa foto',
  'practice engine': 'ese motor de práctica',
  'revision': 'esa revisión',
  'row': 'esa fila',
  'shop': 'ese taller',
  'task': 'esa tarea',
  'token': 'esa clave de acceso',
  'wrench': 'esa llave',
}
const FILES: Record<FileKind, string> = {
  zip: 'un archivo zip',
  png: 'una imagen PNG',
  jpeg: 'una imagen JPEG',
  gif: 'una imagen GIF',
  pdf: 'un PDF',
  gzip: 'un archivo gzip',
  office: 'una hoja o documento antiguo',
  riff: 'un archivo de sonido o imagen',
}
const UNITS: Record<MeterUnit, string> = { h: 'horas', km: 'km', mi: 'millas' }

const server = {
  'refused.no-such': ({ what }) => `En este taller no existe ${THINGS[what]}.`,
  'refused.not-right': 'Algo no es válido. Revíselo e intente otra vez.',
  'refused.another-request-has-this-id':
    'Otro pedido ya tiene esta clave. Vuelva a cargar la página e intente otra vez.',
  'refused.this-was-saved-before-reload': 'Esto ya está guardado. Vuelva a cargar la página para verlo.',
  'refused.the-message-must-be-json':
    'El mensaje debe ser JSON (content-type: application/json). Vuelva a cargar la página e intente otra vez.',
  'refused.that-is-too-much-in': 'Es demasiado para un mensaje: el límite es 256 KB. Envíe menos.',
  'refused.the-message-is-not-readable': 'El mensaje no es JSON legible. Vuelva a cargar la página e intente otra vez.',
  'refused.only-a-lead-may-do': 'Solo un jefe puede hacer eso. Pida a uno que entre.',
  'refused.there-is-nothing-at-this': 'No hay nada en esta dirección.',
  'refused.sign-in-first-your-answers':
    'Entre primero. Sus respuestas están guardadas en este aparato y se enviarán después.',
  'refused.this-request-comes-from-another': 'Este pedido viene de otro sitio. Abra Wembric mismo e intente otra vez.',
  'refused.the-database-went-away-at':
    'La base de datos se fue en el último momento. Puede estar guardado o no: mire antes de repetirlo.',
  'refused.the-database-is-busy-nothing':
    'La base de datos está ocupada. No se cambió nada. Intente otra vez en un momento.',
  'refused.this-part-of-the-database':
    'Esta parte de la base de datos está separada de las demás. No se cambió nada. Intente otra vez en un momento.',
  'refused.the-disk-of-the-shops':
    'El disco del servidor del taller está lleno. No se cambió nada. Haga lugar e intente otra vez.',
  'refused.the-database-does-not-answer':
    'La base de datos no responde. No se cambió nada. Intente otra vez en un momento.',
  'refused.that-is-there-already-choose': 'Eso ya está tomado. Elija otro nombre, etiqueta o número.',
  'refused.something-failed-at-the-shops':
    'Algo falló en el servidor del taller. Mire si se guardó antes de repetirlo.',
  'refused.late': 'La base de datos no responde a tiempo. Intente otra vez en un momento.',
  'refused.starting': 'El servidor todavía está arrancando. Intente otra vez en un momento.',
  'refused.send-a-token-that-holds':
    'Envíe una clave válida: “Authorization: Bearer wembric_…”. Un jefe del taller hace una en la página del taller.',
  'refused.not-the-only-shop':
    'Otros talleres también tienen sus datos en este servidor. Pregunte a quien lo administra.',
  'refused.last-lead': 'Un taller necesita un encargado. Nombre primero a otro.',
  'refused.person-ended': ({ name }) => `${name} ya no trabaja aquí. Déjele entrar de nuevo primero.`,
  'refused.wrong-code': 'El nombre o el código está mal, o el código se usó o venció. Pida otro a un encargado.',
  'refused.wrong-own-password': 'Esa no es su contraseña. Escriba la que usa ahora para entrar.',
  'refused.wrong-password': 'Nombre o contraseña incorrectos. Intente otra vez.',
  'refused.wrong-pin': 'PIN incorrecto. Intente otra vez, o entre con su contraseña.',
  'refused.device-not-trusted': 'Este aparato ya no es de confianza. Entre con su nombre y contraseña.',
  'refused.not-by-pin': 'Para esto no basta un PIN. Entre con su nombre y contraseña.',
  'refused.too-many-pins': ({ seconds }) =>
    `Demasiados PIN incorrectos. Intente de nuevo en ${seconds < 90 ? count(seconds, 'segundo') : count(Math.ceil(seconds / 60), 'minuto')}, o entre con su contraseña.`,
  'refused.too-many-tries': ({ seconds }) =>
    `Demasiadas contraseñas incorrectas. Espere ${seconds < 90 ? count(seconds, 'segundo') : count(Math.ceil(seconds / 60), 'minuto')} e intente otra vez, o pregunte a un jefe.`,
  'refused.that-sign-in-name-is': 'Ese nombre de usuario ya está tomado. Elija otro.',
  'refused.there-is-a-shop-already': 'Este servidor ya tiene un taller. Entre.',
} satisfies Partial<Words<typeof english>>

const jobs = {
  'refused.answers-missing': ({ missing }) =>
    missing === 1
      ? 'Una respuesta dada en este aparato no ha llegado al taller: quien la dio debe entrar aquí primero. Después firme el trabajo.'
      : `${missing} respuestas dadas en este aparato no han llegado al taller: quien las dio debe entrar aquí primero. Después firme el trabajo.`,
  'refused.unplaced': ({ unplaced }) =>
    `${unplaced === 1 ? 'Una respuesta se dio' : `${unplaced} respuestas se dieron`} en otro aparato mientras se movía el cigüeñal o un tornillo. Diga “antes” o “después” para cada una y luego firme el trabajo.`,
  'refused.actor': 'Otra persona dio esta respuesta en esta tableta. Espera hasta que entre.',
  'refused.closed-already': 'Este trabajo ya está cerrado.',
  'refused.job-closed': 'Este trabajo está cerrado. Un jefe puede reabrirlo.',
  'refused.not-closed': 'Este trabajo está abierto.',
  'refused.nothing-to-retract': 'No hay tal respuesta que deshacer.',
  'refused.retracted-already': 'Eso ya está deshecho.',
  'refused.id-reused': 'Otra respuesta ya tiene esta clave. Vuelva a cargar la página.',
  'refused.only-a-lead-can-reopen': 'Solo un jefe puede reabrir un trabajo cerrado.',
  'refused.only-a-lead-can-say': 'Solo un jefe puede decir cuál de dos cifras vale. Pida a uno que entre.',
  'refused.this-revision-is-a-draft': 'Esta revisión es un borrador. Primero la aprueba un jefe.',
  'refused.the-figures-are-not-those':
    'Estas no son las cifras de esta revisión. Vuelva a cargar la página y mire otra vez.',
  'refused.this-machine-has-an-open': 'Esta máquina tiene un trabajo abierto. Abra ese, o abandónelo primero.',
  'refused.this-machine-has-an-open-job':
    'Esta máquina tiene un trabajo abierto con el motor anterior. Ciérrelo o abandónelo primero.',
  'refused.this-job-is-done-and': 'Este trabajo está hecho y fuera del tablero.',
  'refused.choose-somebody-of-this-shops': 'Elija a alguien de este taller.',
  'refused.held': ({ task }) =>
    `${task} necesita el motor caliente, y las válvulas de esta máquina no están hechas. Haga primero las válvulas, o diga por qué no.`,
  'refused.this-is-done-already-untick': 'Esto ya está hecho. Desmárquelo primero.',
  'refused.nothing-due': ({ owner }) => `${owner} no tiene nada pendiente en ese tiempo.`,
  'refused.due-here': ({ owner }) => `Lo pendiente de ${owner} ya está aquí, con un trabajo abierto.`,
  'refused.no-email': ({ owner }) => `${owner} no tiene correo registrado. Agregue uno, o copie o imprima el texto.`,
} satisfies Partial<Words<typeof english>>

const machines = {
  'refused.there-is-no-machine-with': 'Ninguna máquina tiene esta etiqueta.',
  'refused.no-tag': ({ tag }) => `Ninguna máquina de este taller tiene la etiqueta ${tag}.`,
  'refused.job-id-taken': 'Un trabajo con este número está abierto en otra parte. Empiece el trabajo rápido de nuevo.',
  'refused.kept-already': 'Este trabajo rápido ya se guardó. Abra su máquina para cambiar la ficha.',
  'refused.tag-taken': ({ tag }) => `Otra máquina tiene la etiqueta ${tag}.`,
  'refused.tag-taken-merge': ({ tag }) =>
    `Otra máquina tiene la etiqueta ${tag}. Elija otra, o una las dos si son la misma máquina.`,
  'refused.choose-owner': 'Elija un dueño de este taller.',
  'refused.choose-model': 'Elija un modelo de motor de este taller.',
  'refused.shims-changed': ({ was, now }) =>
    `El estante tenía ${was} de estas cuando usted contó y ahora tiene ${now}: ` +
    'alguien más contó, o un trabajo firmado tomó una. Mire el número nuevo y cuente otra vez.',
  'refused.blades-changed':
    'Alguien cambió este juego mientras usted lo tenía abierto. ' +
    'Se muestra como está ahora: mire, y pulse Guardar otra vez si su cambio sigue siendo válido.',
  'refused.changed-meanwhile':
    'Alguien cambió lo mismo mientras usted tenía esto abierto. Aún no se guardó nada, y lo que escribió sigue aquí.',
  'refused.choose-another-owner-than-this': 'Elija otro dueño.',
  'refused.meter-unit': ({ unit }) =>
    `Sus lecturas hasta ahora son en ${unit}. Un medidor con otra unidad es otro medidor: ponga su primera lectura como reemplazado.`,
  'refused.owner-already': ({ owner }) => `Ya es de ${owner}.`,
  'refused.day-to-come': ({ day }) => `El ${day} todavía no llega. Dé el día en que fue.`,
  'refused.meter-lower': ({ day, before, given }) =>
    `El ${day} el medidor marcaba ${before}, y ${given} es menos. Léalo otra vez, o diga que se reemplazó.`,
  'refused.meter-higher': ({ day, before, given }) =>
    `El ${day} el medidor marcaba ${before}, que es después de este día, y ${given} es más. Lea el papel otra vez: el día o el medidor está mal.`,
  'refused.no-such-valve': 'El motor de esta máquina no tiene esa válvula. Vuelva a cargar la página.',
  'refused.reading-order': ({ valve }) => `${valveName(valve)}: una lectura va de menos a más, en mm. Revísela.`,
  'refused.give-a-valve': 'Dé lo que se encontró o se dejó en al menos una válvula.',
  'refused.choose-another-machine': 'Elija otra máquina.',
  'refused.other-engines': ({ first, second }) =>
    `Tienen motores distintos registrados: ${first} y ${second}. Corríjalo primero.`,
  'refused.other-units': ({ first, second }) =>
    `Sus medidores cuentan ${UNITS[first]} y ${UNITS[second]}. Corríjalo primero.`,
  'refused.both-have-an-open-job': 'Las dos tienen un trabajo abierto. Cierre o abandone uno primero.',
  'refused.meters-clash': ({ first, firstDay, second, secondDay }) =>
    `Sus medidores no concuerdan: ${first} el ${firstDay}, luego ${second} el ${secondDay}. ¿Son de verdad la misma máquina?`,
  'refused.owner-busy': ({ owner, jobs }) =>
    `${owner} tiene trabajos abiertos: ${jobs.map(({ number, machine }) => `trabajo ${number} en ${machine}`).join(', ')}. Ciérrelos o abandónelos primero.`,
  'refused.owner-owns': ({ owner, machines }) =>
    `${owner} es dueño de ${listed(machines)}. Dé primero ${machines.length === 1 ? 'la máquina' : 'las máquinas'} a otro dueño, o una los dos dueños. El historial se queda con la máquina.`,
  'refused.photo-large': 'Una foto puede tener 5 MB como máximo. Tómela más chica, o recórtela.',
  'refused.photo-empty': 'El archivo está vacío. Elija la foto otra vez.',
  'refused.page-of-another': 'Solo quien escribió esta revisión añade la foto de su página.',
  'refused.page-there': 'Esta revisión ya tiene la foto de su página. Se queda con sus cifras.',
  'refused.photo-kind': 'No es una imagen JPEG, PNG o WebP. Guárdela como una de ellas y elija esa.',
  'refused.this-picture-is-damaged-or': 'Esta imagen está dañada, o es demasiado grande. Tome la foto otra vez.',
  'record.owner': ({ from, to }) => `De ${from} a ${to}`,
  'record.meter': ({ meter, replaced }) => `Medidor ${meter}${replaced ? ', reemplazado' : ''}`,
  'record.engine': ({ from, to }) => `Salió ${from}, entró ${to}`,
  'record.merged': ({ machine, tag, owner }) =>
    `${machine}, etiqueta ${tag}, de ${owner} estaba repetida y se unió a esta`,
} satisfies Partial<Words<typeof english>>

const specBook = {
  'refused.some-figures-may-be-slips':
    'Algunas cifras pueden estar mal. No se cambió nada: diga de cada una si está como impresa, o corríjala.',
  'refused.this-revision-is-approved-already': 'Esta revisión ya está aprobada.',
  'refused.newer-typed': ({ revision }) =>
    `La revisión ${revision} se hizo mientras usted escribía. Mire qué cambió y guarde otra vez.`,
  'refused.sent-back': ({ by }) => `${by} devolvió este borrador. Haga uno nuevo a partir de él.`,
  'refused.newer-in-force': ({ revision }) =>
    `La revisión ${revision} entró en vigor después de este borrador. Haga un borrador nuevo a partir de esa.`,
  'refused.this-draft-is-your-own': 'Este borrador es suyo: lo revisa otro jefe. Dos ven más que uno.',
  'refused.this-draft-is-your-own-and': 'Este borrador es suyo y usted es el único jefe. Diga por qué lo aprueba.',
  'record.first-entry': 'Primera entrada',
  'record.quick-job': ({ number }) =>
    `Del trabajo rápido ${number}: las luces se dijeron en el banco. Distribución, rosca y giro son supuestos.`,
  'record.from-file': ({ file }) => `De ${file}`,
  'refused.no-heading-is-said-to': 'Ninguna columna está puesta como fabricante, o ninguna como modelo. Elija las dos.',
  'refused.two-headings': ({ column }) => `Dos columnas están puestas como “${column}”. Elija una.`,
  'refused.the-headings-have-changed-reload': 'Los encabezados cambiaron. Vuelva a cargar la página y mire otra vez.',
  'refused.this-file-is-being-read': 'Este archivo se está leyendo, o ya terminó. Vuelva a cargar la página.',
  'refused.this-file-is-being-read-or':
    'Este archivo se está leyendo o guardando, o ya terminó. Vuelva a cargar la página.',
  'refused.this-file-is-being-read-already': 'Este archivo ya se está leyendo. Vuelva a cargar la página.',
  'refused.this-row-has-a-problem': 'Esta fila tiene un problema que hay que corregir en el archivo.',
  'refused.there-is-nothing-in-it': 'No hay nada que guardar.',
  'refused.this-import-is-already-finished': 'Esta importación ya terminó.',
  'refused.this-file-is-over-200': 'Este archivo pasa de 200 MB. Divídalo e importe las partes una tras otra.',
  'refused.this-file-is-empty-choose': 'Este archivo está vacío. Elija otro.',
  'refused.not-in-the-book': ({ model }) => `${model} ya no está en el libro. Importe el archivo otra vez.`,
  'refused.not-text': ({ kind }) =>
    `${kind === null ? 'Esto no es una tabla que se pueda leer' : `Esto es ${FILES[kind]}, no una tabla que se pueda leer`}. Guárdela como .xlsx, .ods o CSV e importe eso.`,
  'refused.utf-16': 'Este archivo es UTF-16. Guárdelo como CSV en UTF-8 e importe eso.',
  'import.done': ({ fresh, changed, approved }) =>
    `${fresh} nuevos y ${changed} cambiados, ${approved ? 'aprobados' : 'como borradores'}.`,
  'import.failed': 'Algo falló en el servidor del taller. No se cambió nada. Importe el archivo otra vez.',
} satisfies Partial<Words<typeof english>>

export const refusals: Words<typeof english> = { ...server, ...jobs, ...machines, ...specBook, ...keeping, ...trust }
