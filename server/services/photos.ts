import { fileTypeFromBuffer } from 'file-type'
import sharp from 'sharp'
import { say } from '../../core/said'
import type { PhotoRow } from '../../shared/machines'
import type { Db, Pool } from '../database/query'
import { notFound, Problem, unfit } from '../problem'
import { jobById } from '../repositories/jobs'
import { machineById } from '../repositories/machines'
import {
  deletePhoto,
  insertPagePhoto,
  insertPhoto,
  pagePhotoBytes,
  photoById,
  photoBytes,
  photosOfMachine,
  type StoredPhoto,
} from '../repositories/photos'
import { revisionById } from '../repositories/revisions'
import type { SignedIn } from './people'
import { withRoomForPhoto } from './shop-limits'
import type { WholeFile } from './whole-file'

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

/** What a picture may be, by its first bytes and whatever its name says. */
const PICTURES = new Set(['image/jpeg', 'image/png', 'image/webp'])

/**
 * The picture as it is kept: turned upright, no larger than needed, and without what the camera wrote beside it: place,
 * time, owner.
 */
async function cleaned(bytes: Buffer): Promise<{ picture: Buffer; small: Buffer; width: number; height: number }> {
  if (!PICTURES.has((await fileTypeFromBuffer(bytes))?.mime ?? ''))
    throw unfit('photo', bytes.length === 0 ? say('refused.photo-empty') : say('refused.photo-kind'))
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
  const photo = {
    machineId,
    jobId: job?.id ?? null,
    caption: given.caption,
    ...(await cleaned(bytes)),
    personId: person.id,
  }
  const id = await withRoomForPhoto(pool, person.shopId, photo, db => insertPhoto(db, person.shopId, photo))
  return asRow((await photoById(pool, person.shopId, id))!)
}
/** A photo of a job, of whatever machine it is on. @throws Problem not-found */
export async function addJobPhoto(pool: Pool, person: SignedIn, jobId: number, bytes: Buffer): Promise<PhotoRow> {
  const job = await jobById(pool, person.shopId, jobId)
  if (!job) throw notFound('job')
  return addPhoto(pool, person, job.pin.machine.id, { job: jobId, caption: '' }, bytes)
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
/**
 * Keeps the page that a revision's figures are from. Its author adds it, and nobody puts another in its place.
 * @throws Problem not-found, not-allowed, done-already
 */
export async function addPagePhoto(pool: Pool, person: SignedIn, revisionId: number, bytes: Buffer): Promise<void> {
  const revision = await revisionById(pool, person.shopId, revisionId)
  if (!revision) throw notFound('revision')
  if (revision.authorId !== person.id) throw new Problem('not-allowed', say('refused.page-of-another'))
  const page = { revisionId, ...(await cleaned(bytes)), personId: person.id }
  const { affected } = await withRoomForPhoto(pool, person.shopId, page, db => insertPagePhoto(db, person.shopId, page))
  if (affected === 0) throw new Problem('done-already', say('refused.page-there'))
}
export async function readPagePhoto(
  db: Db,
  shopId: number,
  revisionId: number,
  size: 'picture' | 'small',
): Promise<WholeFile> {
  const found = await pagePhotoBytes(db, shopId, revisionId, size)
  if (!found) throw notFound('photo')
  return { type: 'image/webp', bytes: found.bytes, keepSeconds: 86_400 }
}
export async function removePhoto(pool: Pool, shopId: number, id: number): Promise<void> {
  if ((await deletePhoto(pool, shopId, id)).affected === 0) throw notFound('photo')
}
