import { getQuery } from 'h3'
import { summarySchema } from '../../../../shared/requests'
import { summaryFile } from '../../../services/files'
import { pool } from '../../../startup'
import { idOf } from '../../../utils/api'
import { bytesRoute } from '../../../utils/bytes'

export default bytesRoute(({ event, person }) =>
  summaryFile(pool(), person.shopId, idOf(event), summarySchema.parse(getQuery(event)), new Date()),
)
