import { inStore, type Opening, plain } from './database'

/** Keeps what opens a job that began on this device, until the shop has it. */
export const keepOpening = (opening: Opening): Promise<unknown> => inStore(db => db.put('openings', plain(opening)))
/** Jobs that began on this device and that the shop does not know yet, oldest first. */
export const openingsWaiting = async (): Promise<Opening[]> =>
  (await inStore(db => db.getAll('openings'))).sort((a, b) => (a.openedAt < b.openedAt ? -1 : 1))
export const settleOpening = (jobId: number): Promise<void> => inStore(db => db.delete('openings', jobId))
export const refuseOpening = (opening: Opening, words: string): Promise<unknown> =>
  inStore(db => db.put('openings', { ...plain(opening), refused: words }))
