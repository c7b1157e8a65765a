import { addPhoto, MOST_PHOTO_BYTES, PHOTO_TOO_LARGE } from '../../../services/photos'
import { pool } from '../../../startup'
import { shopRoute } from '../../../utils/api'
import { readBytes } from '../../../utils/bytes'

export default shopRoute('POST /api/machines/:id/photos', async ({ event, person, id, query }) =>
  addPhoto(pool(), person, id, query, await readBytes(event, MOST_PHOTO_BYTES, PHOTO_TOO_LARGE)),
)
