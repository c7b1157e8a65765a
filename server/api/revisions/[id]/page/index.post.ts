import { readBytes } from '../../../../http/file-route'
import { shopRoute } from '../../../../http/route'
import { addPagePhoto, MOST_PHOTO_BYTES, PHOTO_TOO_LARGE } from '../../../../services/photos'

export default shopRoute('POST /api/revisions/:id/page', async ({ pool, event, person, id }) =>
  addPagePhoto(pool, person, id, await readBytes(event, MOST_PHOTO_BYTES, PHOTO_TOO_LARGE)),
)
