import type { keeping as english } from '../en/keeping'
import type { Words } from '../teller'

export const keeping: Words<typeof english> = {
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
