import { getQuery } from 'h3'
import { uploadSchema } from '../../../shared/spec-book'
import { uploadImport } from '../../services/spec-import'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

export default shopRoute(null, ({ event, person }) =>
  uploadImport(pool(), person, uploadSchema.parse(getQuery(event)).name, event),
)
