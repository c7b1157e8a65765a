import sharp from 'sharp'
import type { PhotoRow } from '../../shared/machines'
import type { Db, Pool } from '../database/query'
import { jobById } from '../repositories/jobs'
import { machineById } from '../repositories/machines'
import {
  deletePhoto,
  insertPhoto,
  photoById,
  photoBytes,
  photosOfMachine,
  type StoredPhoto,
} from '../repositories/photos'
import type { WholeFile } from './whole-file'
import { notFound, unfit } from '../problem'
import type { SignedIn } from './people'
import { say } from '../../core/said'

export const MOST_PHOTO_BYTES = 5 * 1024 * 1024
export const PHOTO_TOO_LARGE = say('refused.photo-large')
/** The longer side as it is kept, and as it stands in a row of others. Pixels. */
const KEPT = 1600
const SMALL = 360
/** More than any camera in a pocket takes: such a file is made to fill the memory. */
const MOST_PIXELS = 60_000_000

const asRow = ({ machineId: _, madeAt, ...photo }: StoredPhoto): PhotoRow => ({
  ...photo,
  madeAt: madeAt.toISOString(),
})

/** What a picture is by its first bytes, whatever its name says. */
function kindOf(bytes: Buffer): 'JPEG' | 'PNG' | 'WebP' | null {
  if (bytes.subarray(0, 3).equals(Buffer.from([0xff, 0xd8, 0xff]))) return 'JPEG'
  if (bytes.subarray(0, 8).equals(Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]))) return 'PNG'
  return bytes.subarray(0, 4).toString('latin1') === 'RIFF' && bytes.subarray(8, 12).toString('latin1') === 'WEBP'
    ? 'WebP'
    : null
}

/**
 * The picture as it is kept: turned upright, no larger than needed, and without what the camera wrote beside it: place,
 * time, owner.
 */
async function cleaned(bytes: Buffer): Promise<{ picture: Buffer; small: Buffer; width: number; height: number }> {
  if (!kindOf(bytes)) throw unfit('photo', bytes.length === 0 ? say('refused.photo-empty') : say('refused.photo-kind'))
  try {
    const fit = (side: number) =>
      sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'error' })
        .rotate()
        .resize({ width: side, height: side, fit: 'inside', withoutEnlargement: true })
        .webp({ quality: 82 })
    const { data: picture, info } = await fit(KEPT).toBuffer({ resolveWithObject: true })
    return { picture, small: await fit(SMALL).toBuffer(), width: info.width, height: info.height }
  } catch {
    throw unfit('photo', say('refused.this-picture-is-damaged-or'))
  }
}

export async function addPhoto(
  pool: Pool,
  person: SignedIn,
  machineId: number,
  given: { job?: number; caption: string },
  bytes: Buffer,
): Promise<PhotoRow> {
  if (!(await machineById(pool, person.shopId, machineId))) throw notFound('machine')
  const job = given.job === undefined ? null : await jobById(pool, person.shopId, given.job)
  if (given.job !== undefined && job?.pin.machine.id !== machineId) throw notFound('job')
  const id = await insertPhoto(pool, person.shopId, {
    machineId,
    jobId: job?.id ?? null,
    caption: given.caption,
    ...(await cleaned(bytes)),
    personId: person.id,
  })
  return asRow((await photoById(pool, person.shopId, id))!)
}
export async function listPhotos(db: Db, shopId: number, machineId: number): Promise<PhotoRow[]> {
  if (!(await machineById(db, shopId, machineId))) throw notFound('machine')
  return (await photosOfMachine(db, shopId, machineId)).map(asRow)
}
/** A photo never changes under its number, so that a browser may keep it. */
export async function readPhoto(db: Db, shopId: number, id: number, size: 'picture' | 'small'): Promise<WholeFile> {
  const found = await photoBytes(db, shopId, id, size)
  if (!found) throw notFound('photo')
  return { type: 'image/webp', bytes: found.bytes, keepSeconds: 86_400 }
}
export async function removePhoto(pool: Pool, shopId: number, id: number): Promise<void> {
  if ((await deletePhoto(pool, shopId, id)).affected === 0) throw notFound('photo')
}
