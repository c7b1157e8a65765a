import { change, type Db, many, maybeOne } from '../database/query'

export interface StoredPhoto {
  id: number
  jobId: number | null
  machineId: number
  caption: string
  width: number
  height: number
  person: string
  madeAt: Date
}
const SELECT = `SELECT f.id, f.job_id AS jobId, f.machine_id AS machineId, f.caption, f.width, f.height,
      p.name AS person, f.made_at AS madeAt
    FROM photos f JOIN people p ON p.shop_id = f.shop_id AND p.id = f.person_id`
export const photosOfMachine = (db: Db, shopId: number, machineId: number): Promise<StoredPhoto[]> =>
  many(db, `${SELECT} WHERE f.shop_id = ? AND f.machine_id = ? ORDER BY f.id DESC LIMIT 200`, [shopId, machineId])
export const photoById = (db: Db, shopId: number, id: number): Promise<StoredPhoto | null> =>
  maybeOne(db, `${SELECT} WHERE f.shop_id = ? AND f.id = ?`, [shopId, id])
export const photoBytes = (
  db: Db,
  shopId: number,
  id: number,
  size: 'picture' | 'small',
): Promise<{ bytes: Buffer } | null> =>
  maybeOne(db, `SELECT ${size === 'small' ? 'small' : 'picture'} AS bytes FROM photos WHERE shop_id = ? AND id = ?`, [
    shopId,
    id,
  ])
export async function insertPhoto(
  db: Db,
  shopId: number,
  p: {
    machineId: number
    jobId: number | null
    caption: string
    width: number
    height: number
    picture: Buffer
    small: Buffer
    personId: number
  },
): Promise<number> {
  const { id } = await change(
    db,
    `INSERT INTO photos (shop_id, machine_id, job_id, caption, width, height, picture, small, person_id, made_at)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, UTC_TIMESTAMP(3))`,
    [shopId, p.machineId, p.jobId, p.caption, p.width, p.height, p.picture, p.small, p.personId],
  )
  return id
}
export const deletePhoto = (db: Db, shopId: number, id: number) =>
  change(db, 'DELETE FROM photos WHERE shop_id = ? AND id = ?', [shopId, id])

/** The page of a revision, as it was photographed; the first that comes stays, for the revision stays as it is. */
export const insertPagePhoto = (
  db: Db,
  shopId: number,
  p: { revisionId: number; width: number; height: number; picture: Buffer; small: Buffer; personId: number },
) =>
  change(
    db,
    `INSERT IGNORE INTO page_photos (shop_id, revision_id, width, height, picture, small, person_id, made_at)
     VALUES (?, ?, ?, ?, ?, ?, ?, UTC_TIMESTAMP(3))`,
    [shopId, p.revisionId, p.width, p.height, p.picture, p.small, p.personId],
  )
export const pagePhotoBytes = (
  db: Db,
  shopId: number,
  revisionId: number,
  size: 'picture' | 'small',
): Promise<{ bytes: Buffer } | null> =>
  maybeOne(
    db,
    `SELECT ${size === 'small' ? 'small' : 'picture'} AS bytes FROM page_photos WHERE shop_id = ? AND revision_id = ?`,
    [shopId, revisionId],
  )
