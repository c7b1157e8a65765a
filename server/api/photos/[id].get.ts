import { getQuery } from 'h3'
import { readPhoto } from '../../services/photos'
import { pool } from '../../startup'
import { idOf } from '../../utils/api'
import { bytesRoute } from '../../utils/bytes'

export default bytesRoute(({ event, person }) =>
  readPhoto(pool(), person.shopId, idOf(event), getQuery(event).size === 'small' ? 'small' : 'picture'),
)
