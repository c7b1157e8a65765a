import { getQuery } from 'h3'
import { bytesRoute } from '../../../../http/file-route'
import { idOf } from '../../../../http/route'
import { readPagePhoto } from '../../../../services/photos'

export default bytesRoute(({ pool, event, person }) =>
  readPagePhoto(pool, person.shopId, idOf(event), getQuery(event).size === 'small' ? 'small' : 'picture'),
)
