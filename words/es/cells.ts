import type { cells as english, pages as englishPages } from '../en/cells'
import type { Words } from '../teller'
import { listed } from './grammar'

const grouped = (n: number): string => n.toLocaleString('es-US')

export const cells: Words<typeof english> = {
  'cell.of': ({ problem }, tell) => `La celda ${tell(problem)}`,
  'cell.text': ({ problem }, tell) => `El texto ${tell(problem)}`,
  'cell.too-long': ({ length, most }) =>
    `tiene ${grouped(length)} caracteres; el límite es ${grouped(most)}. Puede faltar cerrar unas comillas.`,
  'cell.not-utf-8': 'tiene letras que no son UTF-8. Guarde el archivo como UTF-8 e impórtelo otra vez.',
  'cell.control': 'tiene caracteres de control, así que no es texto simple.',
  'cell.markup': 'tiene marcado. Solo se importa texto simple.',
  'cell.count': ({ cells, headings }) =>
    `La fila tiene ${cells} celdas y el encabezado ${headings}. Puede haber un separador dentro de una celda sin comillas.`,
  'cell.not-json': 'No es JSON legible. Deje la celda vacía, o como la escribió la exportación.',
  'cell.either-day': ({ typed, days }) => `«${typed}» puede ser ${listed(days, 'o')}. Escríbalo como año-mes-día.`,
  'cell.bare-day': ({ typed }) =>
    `«${typed}» es un día. Puede que una hoja de cálculo lo haya hecho de una página o un nombre como 4-12: escríbalo otra vez.`,
  'import.workbook-unreadable':
    'Este libro no se puede leer. Ábralo, guárdelo otra vez como .xlsx, .ods o CSV, e importe ese.',
  'import.workbook-empty':
    'No hay filas en este libro. Ponga los encabezados en la primera fila y un modelo en cada fila de abajo.',
  'import.workbook-large': ({ most }) => `Este libro pasa de ${most} MB. Guarde su hoja como CSV e importe esa.`,
  'import.row-large': 'Una fila pasa de 400 KB: falta cerrar unas comillas.',
  'import.quote-open': 'Falta cerrar unas comillas, así que lo que sigue en el archivo no se lee.',
  'import.row-unreadable': 'Esta fila no se puede leer. Revise sus comillas.',
  'import.no-models':
    'No hay modelos en este archivo. Debe verse como dice docs/formats: {"format": "wembric spec book", "version": 1, "models": [ … ]}.',
  'import.json-broken': ({ why, some }) =>
    `No es JSON legible (${why}). ${some ? 'Los modelos anteriores se pueden importar.' : 'Importe un archivo escrito por una exportación.'}`,
  'import.same-as': ({ row }) => `El mismo modelo que la fila ${row}. Deje uno de los dos.`,
}

export const pages: Words<typeof englishPages> = {
  'page.guessed': ({ text }) => `«${text}» tiene letras donde debía haber cifras. Revíselo en la página.`,
  'page.units-differ': ({ one, other }) => `${one} y ${other} no son lo mismo. Uno está mal leído o mal impreso.`,
  'page.unsure': 'Aquí las palabras se distinguen mal. Compare esto con la foto.',
  'page.no-topic': 'La página no dice aquí que esto sea de las válvulas.',
  'page.no-valve': 'La página no dice si es de la admisión o del escape.',
  'page.no-unit': ({ unit }) => `La página no da unidad aquí. Por su tamaño es ${unit}.`,
  'page.another': ({ figures }) => `La página dice también ${listed(figures)}. Puede que describa dos modelos.`,
  'page.fire-mark': 'La página da el encendido, pero no nombra una marca F. Tómelo solo si la hay.',
}
