import { localDatabase, type WaitingPhoto } from './database'

/** Photos kept on this device until the shop has them, in the order in which they were taken. */
export const waitingPhotos = async (): Promise<WaitingPhoto[]> =>
  (await (await localDatabase()).getAll('photos')).sort((a, b) => a.takenAt - b.takenAt)

export const keepPhoto = async (photo: WaitingPhoto): Promise<unknown> => (await localDatabase()).put('photos', photo)

export const letGoPhoto = async (id: string): Promise<void> => (await localDatabase()).delete('photos', id)
