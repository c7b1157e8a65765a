import { getQuery } from 'h3'
import { summarySchema } from '../../../../shared/papers'
import { bytesRoute } from '../../../http/file-route'
import { idOf } from '../../../http/route'
import { summaryFile } from '../../../services/files'

export default bytesRoute(({ pool, event, person }) =>
  summaryFile(pool, person.shopId, idOf(event), summarySchema.parse(getQuery(event)), new Date()),
)
