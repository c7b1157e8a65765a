import { getQuery } from 'h3'
import { paperSchema } from '../../../../shared/papers'
import { sheetFile } from '../../../services/files'
import { idOf } from '../../../http/route'
import { bytesRoute } from '../../../http/file-route'

export default bytesRoute(({ pool, event, person }) =>
  sheetFile(pool, person.shopId, idOf(event), paperSchema.parse(getQuery(event)).paper, new Date()),
)
