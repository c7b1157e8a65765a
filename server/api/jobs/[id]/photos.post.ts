import { readBytes } from '../../../http/file-route'
import { shopRoute } from '../../../http/route'
import { addJobPhoto, MOST_PHOTO_BYTES, PHOTO_TOO_LARGE } from '../../../services/photos'

export default shopRoute('POST /api/jobs/:id/photos', async ({ pool, event, person, id }) =>
  addJobPhoto(pool, person, id, await readBytes(event, MOST_PHOTO_BYTES, PHOTO_TOO_LARGE)),
)
