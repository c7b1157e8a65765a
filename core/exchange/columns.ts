import { squeeze } from '../search'
import { SPEC_FIELDS, type SpecField } from '../spec-book'

export const IDENTITY_FIELDS = [
  'key',
  'maker',
  'model',
  'code',
  'kind',
  'family',
  'displacementCc',
  'yearFrom',
  'yearTo',
] as const
export type IdentityField = (typeof IDENTITY_FIELDS)[number]
/**
 * A column of the CSV: what a model is called, a field of its spec, or `exact`, what the fields cannot say, as JSON.
 */
export type Column = IdentityField | SpecField | 'exact'
export const COLUMNS: readonly Column[] = [...IDENTITY_FIELDS, ...SPEC_FIELDS, 'exact']

/** Columns of plain numbers: a file for a country of decimal commas has them with commas. */
export const FIGURE_COLUMNS: ReadonlySet<Column> = new Set<Column>([
  'displacementCc',
  'yearFrom',
  'yearTo',
  'coldLimit',
  'bore',
  'stroke',
  'rod',
  'valves',
  'shimDiameter',
  'shimStep',
  'checkLift',
  'io',
  'ic',
  'eo',
  'ec',
  'heldFrom',
  'heldTo',
  'measuredDrop',
  'headSize',
  'nutSize',
  'pitch',
  'ratio',
  'locknut',
  'cover',
  'plug',
  'use',
  'months',
  'firstUse',
])

/** The heading of a column as an export writes it: `displacement_cc`. */
export const headingOf = (column: Column): string => column.replaceAll(/[A-Z]/g, c => `_${c.toLowerCase()}`)

/** Other headings that lists of specs have, squeezed. */
const SYNONYMS: Partial<Record<Column, string[]>> = {
  key: ['id', 'modelkey', 'ref'],
  maker: ['make', 'brand', 'manufacturer'],
  model: ['modelname', 'name'],
  code: ['enginecode', 'engine', 'modelcode'],
  kind: ['type', 'category'],
  displacementCc: ['cc', 'displacement', 'cm3', 'ccm', 'capacity'],
  yearFrom: ['year', 'from', 'firstyear', 'builtfrom'],
  yearTo: ['to', 'lastyear', 'builtto'],
  intake: ['inlet', 'intakeclearance', 'inletclearance', 'intakemm', 'inletmm', 'in'],
  exhaust: ['exhaustclearance', 'exhaustmm', 'ex'],
  intakeAlso: ['intakeinch', 'intakein', 'intakethou', 'inletinch'],
  exhaustAlso: ['exhaustinch', 'exhaustin', 'exhaustthou'],
  unit: ['units', 'clearanceunit'],
  source: ['manual', 'reference', 'book'],
  sourceDate: ['date', 'printed', 'sourcedated'],
  bore: ['boremm'],
  stroke: ['strokemm'],
  rod: ['rodlength', 'rodmm', 'conrod'],
  locknut: ['locknutnm', 'nuttorque'],
  cover: ['covernm', 'covertorque'],
  plug: ['plugnm', 'plugtorque', 'sparkplug'],
  pitch: ['thread', 'screw', 'screwthread'],
  seenFrom: ['viewedfrom'],
  means: ['turnedby'],
  use: ['interval', 'every'],
  stripDown: ['comesoff', 'remove'],
  ratio: ['rockerratio'],
}
/** Which column a foreign heading most likely is; null where nothing fits. Remembered choices win over this. */
export function columnFor(heading: string): Column | null {
  const said = squeeze(heading)
  return COLUMNS.find(c => squeeze(headingOf(c)) === said) ?? COLUMNS.find(c => SYNONYMS[c]?.includes(said)) ?? null
}

/** Other headings that a column is known by, without spaces. */
export const otherHeadings = (column: Column): readonly string[] => SYNONYMS[column] ?? []

/** How a CSV is read: its delimiter, and which column each heading is. */
export interface CsvSettings {
  delimiter: string
  mapping: (Column | null)[]
}
export const DELIMITERS = [',', ';', '\t', '|'] as const
/** The delimiter of a first line: the one that parts it most often, outside quotes. */
export function delimiterOf(firstLine: string): string {
  const bare = firstLine.replaceAll(/"[^"]*"/g, '')
  const counts = DELIMITERS.map(d => [bare.split(d).length, d] as const).sort((a, b) => b[0] - a[0])
  return counts[0]![0] > 1 ? counts[0]![1] : ','
}
