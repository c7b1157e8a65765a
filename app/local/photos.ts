import { inStore, type WaitingPhoto } from './database'

/** Photos kept on this device until the shop has them, in the order in which they were taken. */
export const waitingPhotos = async (): Promise<WaitingPhoto[]> =>
  (await inStore(db => db.getAll('photos'))).sort((a, b) => a.takenAt - b.takenAt)

export const keepPhoto = (photo: WaitingPhoto): Promise<unknown> => inStore(db => db.put('photos', photo))

export const letGoPhoto = (id: string): Promise<void> => inStore(db => db.delete('photos', id))
