import { getQuery } from 'h3'
import { bytesRoute } from '../../http/file-route'
import { idOf } from '../../http/route'
import { readPhoto } from '../../services/photos'

export default bytesRoute(({ pool, event, person }) =>
  readPhoto(pool, person.shopId, idOf(event), getQuery(event).size === 'small' ? 'small' : 'picture'),
)
