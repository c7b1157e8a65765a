import { getQuery } from 'h3'
import { paperSchema } from '../../../../shared/papers'
import { bytesRoute } from '../../../http/file-route'
import { idOf } from '../../../http/route'
import { sheetFile } from '../../../services/files'

export default bytesRoute(({ pool, event, person }) =>
  sheetFile(pool, person.shopId, idOf(event), paperSchema.parse(getQuery(event)).paper, new Date()),
)
