import type { severalShops as english } from '../../en/screens/several-shops'
import type { Words } from '../../teller'

export const severalShops: Words<typeof english> = {
  'page-shops.title': 'Talleres de este servidor',
  'page-shops.title-wembric': 'Talleres de este servidor, Wembric',
  'page-shops.what':
    'Cada taller tiene su gente, sus máquinas y su libro de datos, y no ve nada de otro. Usted ve cuánto hay, no lo que está escrito.',
  'page-shops.in-use': 'Uso',
  'page-shops.people': ({ people, most }) =>
    most === null
      ? `${people === 1 ? '1 persona' : `${people} personas`}`
      : `${people} de ${most === 1 ? '1 persona' : `${most} personas`}`,
  'page-shops.photos': ({ mb, most }) => (most === null ? `${mb} MB de fotos` : `${mb} de ${most} MB de fotos`),
  'page-shops.jobs': ({ jobs, last }) =>
    jobs === 0 || last === null
      ? 'ningún trabajo aún'
      : `${jobs === 1 ? '1 trabajo' : `${jobs} trabajos`}, el último el ${last}`,
  'page-shops.door': 'Entrada',
  'page-shops.no-short-name': 'aún sin nombre corto',
  'page-shops.yours': 'el suyo',
  'page-shops.closed-until': ({ day }) => `Cerrado. Sus registros se borran el ${day}.`,
  'page-shops.settle': 'Límites, nombre',
  'page-shops.settle-of': ({ name }) => `Límites y nombre corto de ${name}`,
  'page-shops.new-code': 'Código nuevo',
  'page-shops.new-code-of': ({ name }) => `Código nuevo de un solo uso para el primer encargado de ${name}`,
  'page-shops.files': 'Archivos',
  'page-shops.files-of': ({ name }) => `Descargar todos los archivos de ${name}`,
  'page-shops.close': 'Cerrar taller',
  'page-shops.close-of': ({ name }) => `Cerrar ${name}`,
  'page-shops.close-asks': ({ name, days }) =>
    `Todos los de ${name} quedan fuera ahora y nadie entra. ` +
    `A los ${days} días se borran todos sus registros; hasta entonces puede abrirlo de nuevo. ` +
    'Descargue antes sus archivos: después solo lo tienen las copias hechas hasta entonces.',
  'page-shops.reopen': 'Abrir de nuevo',
  'page-shops.reopen-of': ({ name }) => `Abrir ${name} de nuevo`,
  'page-shops.add': 'Agregar un taller',
  'page-shops.short-name': 'Nombre corto',
  'page-shops.short-name-note': 'Lo que su gente indica al entrar si un nombre está en dos talleres.',
  'page-shops.host': 'Su propio equipo, si lo tiene',
  'page-shops.host-note': 'Quien abre este equipo entra solo a este taller.',
  'page-shops.most-people': 'Personas, como máximo',
  'page-shops.most-photos': 'Fotos, MB como máximo',
  'page-shops.no-limit': 'Vacío: sin límite.',
  'page-shops.its-lead': 'Su primer encargado',
  'page-shops.way-in': ({ signIn, code, path }) =>
    `Anótelo y entréguelo: ${signIn} abre ${path}, elige «Tengo un código de un solo uso» e indica ${code} dentro de 24 horas.`,
}
