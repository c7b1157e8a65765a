import { readBytes } from '../../../http/file-route'
import { shopRoute } from '../../../http/route'
import { addPhoto, MOST_PHOTO_BYTES, PHOTO_TOO_LARGE } from '../../../services/photos'

export default shopRoute('POST /api/machines/:id/photos', async ({ pool, event, person, id, query }) =>
  addPhoto(pool, person, id, query, await readBytes(event, MOST_PHOTO_BYTES, PHOTO_TOO_LARGE)),
)
