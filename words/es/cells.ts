import type { Words } from '../teller'
import type { cells as english } from '../en/cells'

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
}
