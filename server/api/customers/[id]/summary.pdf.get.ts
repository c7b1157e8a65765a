import { getQuery } from 'h3'
import { summarySchema } from '../../../../shared/papers'
import { summaryFile } from '../../../services/files'
import { idOf } from '../../../http/route'
import { bytesRoute } from '../../../http/file-route'

export default bytesRoute(({ pool, event, person }) =>
  summaryFile(pool, person.shopId, idOf(event), summarySchema.parse(getQuery(event)), new Date()),
)
