import { NOT_KEPT } from '../../backup/programs'
import type { Row } from '../../repositories/whole-shop'

/** Tables of secrets, or of what is made again from the rest: neither is a shop's record. */
export const LEFT_OUT = new Set([
  ...NOT_KEPT,
  ...['api_tokens', 'calendar_addresses', 'trusted_devices', 'sign_in_attempts'],
  ...['model_grams', 'gram_counts', 'spec_imports', 'machine_due', 'valve_drifts'],
])
/** Columns that are secrets, or settled by whoever runs the server, with what stands for them in a row come back. */
export const SECRETS: Record<string, Record<string, string | number | null>> = {
  people: { password_hash: '', pin_hash: null, code_hash: null, code_until: null, runs_server: 0 },
  shops: { host: null, most_people: null, most_photo_mb: null, closed_at: null, goes_at: null },
}
/** Columns of pictures: each is a file of its own, in a folder, named by the row's key and what follows it. */
export const PICTURES: Record<string, { folder: string; key: string; columns: Record<string, string> }> = {
  photos: { folder: 'photos', key: 'id', columns: { picture: '', small: '-small' } },
  page_photos: { folder: 'pages', key: 'revision_id', columns: { picture: '', small: '-small' } },
}
/** The file of a picture. */
export function fileOfPicture(table: string, column: string, row: Row): string {
  const { folder, key, columns } = PICTURES[table]!
  return `${folder}/${String(row[key])}${columns[column]}.jpg`
}
