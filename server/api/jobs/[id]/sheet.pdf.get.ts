import { getQuery } from 'h3'
import { paperSchema } from '../../../../shared/requests'
import { sheetFile } from '../../../services/files'
import { pool } from '../../../startup'
import { idOf } from '../../../utils/api'
import { bytesRoute } from '../../../utils/bytes'

export default bytesRoute(({ event, person }) =>
  sheetFile(pool(), person.shopId, idOf(event), paperSchema.parse(getQuery(event)).paper, new Date()),
)
