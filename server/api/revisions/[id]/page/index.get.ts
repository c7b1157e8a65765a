import { getQuery } from 'h3'
import { readPagePhoto } from '../../../../services/photos'
import { idOf } from '../../../../http/route'
import { bytesRoute } from '../../../../http/file-route'

export default bytesRoute(({ pool, event, person }) =>
  readPagePhoto(pool, person.shopId, idOf(event), getQuery(event).size === 'small' ? 'small' : 'picture'),
)
