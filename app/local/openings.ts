import { localDatabase, type Opening, plain } from './database'

/** Keeps what opens a job that began on this device, until the shop has it. */
export const keepOpening = async (opening: Opening): Promise<void> => {
  await (await localDatabase()).put('openings', plain(opening))
}
/** Jobs that began on this device and that the shop does not know yet, oldest first. */
export const openingsWaiting = async (): Promise<Opening[]> =>
  (await (await localDatabase()).getAll('openings')).sort((a, b) => (a.openedAt < b.openedAt ? -1 : 1))
export const settleOpening = async (jobId: number): Promise<void> => (await localDatabase()).delete('openings', jobId)
export const refuseOpening = async (opening: Opening, words: string): Promise<void> => {
  await (await localDatabase()).put('openings', { ...plain(opening), refused: words })
}
