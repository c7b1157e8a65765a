import type { ProblemBody } from '~~/shared/problem'
import { inStore, jobKey, type Opening, plain, type Waiting } from './database'

/** Keeps what opens a job that began on this device, until the shop has it. */
export const keepOpening = (opening: Opening): Promise<unknown> => inStore(db => db.put('openings', plain(opening)))
/** Jobs that began on this device and that the shop does not know yet, oldest first. */
export const openingsWaiting = async (): Promise<Opening[]> =>
  (await inStore(db => db.getAll('openings'))).sort((a, b) => (a.openedAt < b.openedAt ? -1 : 1))
export const settleOpening = (jobId: number): Promise<void> => inStore(db => db.delete('openings', jobId))
export const refuseOpening = (
  opening: Opening,
  { title, code, detail }: Pick<ProblemBody, 'title' | 'code' | 'detail'>,
): Promise<unknown> => keepOpening({ ...opening, refused: title, refusedAs: { code, detail } })
/** One that was refused is sent again, as it is now. */
export const openAgain = (opening: Opening): Promise<unknown> =>
  keepOpening({ ...opening, refused: null, refusedAs: null })

/** What is kept of a job that began here: its answers and photos go where they are sent, or nowhere. */
async function endOpening(
  { jobId, shopId }: Pick<Opening, 'jobId' | 'shopId'>,
  answer: (waiting: Waiting) => Waiting | null,
  photosTo: number | null,
): Promise<void> {
  await inStore(async db => {
    const transaction = db.transaction(['openings', 'waiting', 'photos', 'jobs'], 'readwrite')
    transaction.done.catch(() => {})
    const [waiting, photos] = [transaction.objectStore('waiting'), transaction.objectStore('photos')]
    for (const w of (await waiting.getAll()).filter(w => w.jobId === jobId && w.shopId === shopId)) {
      const becomes = answer(w)
      await (becomes ? waiting.put(becomes) : waiting.delete(w.id))
    }
    for (const p of (await photos.getAll()).filter(p => p.jobId === jobId && p.shopId === shopId))
      await (photosTo === null ? photos.delete(p.id) : photos.put({ ...p, jobId: photosTo, refused: null }))
    await transaction.objectStore('openings').delete(jobId)
    await transaction.objectStore('jobs').delete(jobKey(shopId, jobId))
    await transaction.done
  })
}
/** Nothing of a job that began here is kept. */
export const discardOpening = (opening: Opening): Promise<void> => endOpening(opening, () => null, null)
/**
 * What was answered in a job that began here goes to another, in one piece.
 * @param there the other's id, and the last of its log: what is carried over was given after it
 * @param set the blades that a trial was made with where it names none
 */
export const carryOver = (opening: Opening, there: { jobId: number; lastSeq: number }, set: string): Promise<void> =>
  endOpening(
    opening,
    w => {
      const { type, payload } = w.request
      const named =
        type === 'trial' ? { ...(payload as object), set: (payload as { set?: string }).set ?? set } : payload
      return {
        ...w,
        jobId: there.jobId,
        refused: null,
        request: { ...w.request, payload: named, seenSeq: there.lastSeq } as Waiting['request'],
      }
    },
    there.jobId,
  )
