import { getQuery } from 'h3'
import { photoSchema } from '../../../../shared/requests'
import { addPhoto, MOST_PHOTO_BYTES, PHOTO_TOO_LARGE } from '../../../services/photos'
import { pool } from '../../../startup'
import { idOf, shopRoute } from '../../../utils/api'
import { readBytes } from '../../../utils/bytes'

export default shopRoute(null, async ({ event, person }) =>
  addPhoto(
    pool(),
    person,
    idOf(event),
    photoSchema.parse(getQuery(event)),
    await readBytes(event, MOST_PHOTO_BYTES, PHOTO_TOO_LARGE),
  ),
)
