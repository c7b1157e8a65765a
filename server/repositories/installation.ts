import { change, type Db, maybeOne } from '../database/query'

/** What is noted of the installation. */
type Noted = 'version' | 'version-before'

export const noted = (db: Db, name: Noted): Promise<{ value: string; at: Date } | null> =>
  maybeOne(db, 'SELECT value, at FROM installation WHERE name = ?', [name])
export const note = (db: Db, name: Noted, value: string) =>
  change(db, 'REPLACE INTO installation (name, value, at) VALUES (?, ?, UTC_TIMESTAMP(3))', [name, value])
