import type { installation as english } from '../../en/screens/installation'
import type { Words } from '../../teller'

const KINDS = { nightly: 'Sola, de noche', asked: 'A pedido', upgrade: 'Antes de actualizar' }

export const installation: Words<typeof english> = {
  'page-backups.title': 'Copias y archivos',
  'page-backups.title-wembric': 'Copias y archivos, Wembric',
  'page-backups.backups': 'Copias de seguridad',
  'page-backups.newest': ({ at }) => `La copia más reciente es del ${at}.`,
  'page-backups.none': 'Todavía no hay ninguna copia.',
  'page-backups.future':
    'La copia más reciente lleva una fecha que aún no llega. Revise la fecha de la computadora del taller.',
  'page-backups.by-itself':
    'Cada noche se hace una sola; se guardan las últimas siete y una de cada una de las cuatro semanas anteriores.',
  'page-backups.not-by-itself': 'Aquí no se hacen solas: este servidor se inició con WEMBRIC_NIGHTLY=off.',
  'page-backups.where': ({ folder }) => `Están en el servidor, en ${folder}.`,
  'page-backups.elsewhere':
    'Si el disco se daña, se pierden con él: descargue una de vez en cuando y guárdela en otro lugar.',
  'page-backups.make': 'Hacer una copia ahora',
  'page-backups.password': 'Contraseña, si ha de ir cifrada',
  'page-backups.password-note': 'Anótela: sin ella nadie vuelve a abrir la copia.',
  'page-backups.making': 'Haciendo una copia …',
  'page-backups.why': 'Motivo',
  'page-backups.size': 'Tamaño',
  'page-backups.fetch': 'Descargar',
  'page-backups.fetch-of': ({ at }) => `Descargar la copia del ${at}`,
  'page-backups.encrypted': 'cifrada',
  'page-backups.kind': ({ kind }) => KINDS[kind],
  'page-backups.way-back': 'El camino de vuelta',
  'page-backups.way-back-how':
    'En esta computadora, o en otra nueva con Wembric, restaure una copia en una carpeta nueva e inicie desde ella:',
  'page-backups.open-files': 'Todos los archivos del taller',
  'page-backups.open-files-what':
    'Máquinas, dueños, trabajos con cada respuesta, hojas, el libro de datos y las fotos, en CSV, JSON y JPEG dentro de un zip. No lleva contraseñas. Una página explica cómo volver a hacer un taller con él.',
  'page-backups.fetch-files': 'Descargar todos los archivos',
  'page-phones.title': 'Teléfonos en el taller',
  'page-phones.title-wembric': 'Teléfonos en el taller, Wembric',
  'page-phones.scan': 'Escanéelo con la cámara del teléfono, en la red del taller',
  'page-phones.scan-what':
    'La página que se abre dice cómo el teléfono llega a confiar en esta computadora, comprueba que funcionó y lleva a Wembric. Toma un minuto, una sola vez.',
  'page-phones.or-type': ({ address }) => `O escriba ${address} en su navegador.`,
  'page-phones.open': ({ address }) => `Los teléfonos abren ${address}.`,
  'page-phones.after-that': ({ address }) => `Después abren ${address}.`,
  'page-phones.also': ({ addresses }) => `También: ${addresses}.`,
  'page-phones.closed':
    'Este servidor solo está abierto a su propia computadora. Para abrirlo a los teléfonos del taller, inícielo con:',
  'page-phones.signed-in': 'Aparatos con sesión abierta',
  'page-phones.ended-how':
    'El aparato que usted saca queda fuera al instante. Lo que no había enviado espera en él hasta que alguien entre allí otra vez.',
  'page-phones.seen': 'Última señal',
  'page-phones.this-one': 'este',
  'page-phones.rename': 'Cambiar el nombre',
  'page-phones.rename-of': ({ name }) => `Cambiar el nombre de ${name}`,
  'page-phones.new-name': ({ name }) => `Nombre nuevo para ${name}`,
  'page-phones.sign-out': 'Cerrar la sesión',
  'page-phones.sign-out-of': ({ name }) => `Cerrar la sesión de ${name}`,
  'page-phones.sign-out-asks': ({ name }) => `${name} queda fuera al instante.`,
  'page-setup.restore-instead': 'Mejor restaurar una copia',
  'page-setup.restore': 'Restaurar una copia',
  'page-setup.restore-what':
    'Una copia hecha por Wembric, o el zip con todos los archivos de un taller. Solo va a la computadora del propio taller.',
  'page-setup.file': 'El archivo',
  'page-setup.choose-a-file': 'Primero elija el archivo.',
  'page-setup.restore-password': 'Su contraseña, si tiene',
  'page-setup.sending': 'El archivo va en camino …',
  'page-setup.restoring': 'Restaurando …',
  'page-setup.restored': 'Restaurado. Entre con el nombre y la contraseña que tenía.',
  'page-setup.restored-by-code': ({ signIn, code }) =>
    `Restaurado. Anótelo: ${signIn} entra en «Tengo un código de un solo uso» con ${code}, dentro de 24 horas, y elige una contraseña nueva.`,
  'page-setup.to-sign-in': 'A la entrada',
}
