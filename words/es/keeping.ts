import type { keeping as english } from '../en/keeping'
import type { Words } from '../teller'
import { day } from './grammar'

export const keeping: Words<typeof english> = {
  'refused.only-who-runs-the-server': 'Eso solo puede hacerlo quien administra este servidor.',
  'refused.which-shop': 'Más de un taller de este servidor tiene este nombre. Indique el taller en que trabaja.',
  'refused.shop-closed': ({ goesAtMs }) =>
    `Este taller está cerrado. Sus registros se guardan hasta el ${day(goesAtMs)}: antes de esa fecha, pida a quien administra el servidor que lo abra de nuevo.`,
  'refused.shop-not-closed': 'Ese taller no está cerrado, o sus registros ya empezaron a borrarse.',
  'refused.not-your-own-shop':
    'Ese es el taller de quien administra este servidor. Pase antes la administración a un encargado de otro: npm run shops -- runner',
  'refused.runs-the-server':
    'Administra este servidor, en el que hay otros talleres. Pase antes la administración a otro encargado: npm run shops -- runner',
  'refused.no-room-for-people': ({ most }) =>
    `Su taller puede tener ${most === 1 ? 'una persona' : `${most} personas`}. Termine antes un acceso, o pida más a quien administra este servidor.`,
  'refused.no-room-for-photos': ({ most }) =>
    `Las fotos de su taller pueden ocupar ${most} MB y esta ya no cabe. Quite algunas, o pida más espacio a quien administra este servidor.`,
  'backup.disk-full': ({ path }) =>
    `El disco está lleno: la copia no se hizo y no queda nada de ella en ${path}. Haga espacio o elija otra carpeta.`,
  'backup.failed': 'La copia no se hizo. El registro del servidor dice por qué. Lo demás sigue igual.',
  'backup.running': 'Ya se está haciendo una copia. Espere a que termine.',
  'backup.no-program': ({ program }) =>
    `Falta el programa ${program} en esta computadora. Instale mariadb-client de Debian y vuelva a intentarlo.`,
  'backup.program-failed': ({ program, words }) => `${program} no pudo hacerlo. Dice: ${words}`,
  'backup.no-file': ({ path }) => `No existe el archivo ${path}. Revise el nombre y la carpeta.`,
  'backup.not-one': ({ path }) => `${path} no es una copia de Wembric. Elija otro archivo.`,
  'backup.broken': ({ path }) =>
    `${path} está dañado o incompleto. No se restauró nada. Use otro ejemplar, o una copia más antigua.`,
  'backup.password-missing': ({ path }) => `${path} está cifrado. Dé su contraseña.`,
  'backup.password-wrong': ({ path }) => `Esta no es la contraseña de ${path}. Inténtelo de nuevo.`,
  'backup.newer': ({ path, version }) =>
    `${path} se hizo con una versión más nueva de Wembric (${version}). Instale esa versión y restaure allí.`,
  'backup.shop-there':
    'Aquí ya hay un taller. No se cambió nada. Restaure estos archivos en una carpeta de datos nueva.',
  'backup.database-not-empty': ({ database }) =>
    `La base de datos «${database}» ya tiene tablas. No se cambió nada. Restaure en una vacía.`,
  'upgrade.data-newer': ({ version }) =>
    `Estos datos se usaron por última vez con un Wembric más nuevo (${version}). No se cambió nada. Inicie esa versión, o restaure una copia de esta.`,
  'upgrade.half-restored':
    'Una restauración en esta base de datos quedó a medias y no está completa. Hágala otra vez: npm run restore -- ARCHIVO',
  'upgrade.failed': ({ version, words }) =>
    `La actualización a ${version} falló y los datos están como antes. Inicie otra vez la versión anterior, o envíe esto a quienes la hacen: ${words}`,
  'upgrade.failed-and-not-put-back': ({ backup, words }) =>
    `La actualización falló y los datos no se pudieron reponer solos. Están completos en ${backup}: restáurelo en una carpeta nueva e inicie allí la versión anterior. ${words}`,
  'device.android-phone': 'Teléfono Android',
  'device.android-tablet': 'Tableta Android',
  'device.windows': 'Computadora Windows',
  'device.linux': 'Computadora Linux',
  'device.other': 'Aparato',
  'privacy.erased-owner': 'Dueño borrado',
  'backup.restoring': 'Ya se está restaurando una copia. Espere a que termine.',
  'backup.failed-to-restore':
    'No se pudo restaurar. El registro del servidor dice por qué. El servidor está vacío, como antes.',
}
