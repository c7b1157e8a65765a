import { readImportSchema } from '../../../../shared/spec-book'
import { beginReading } from '../../../services/spec-import'
import { pool } from '../../../startup'
import { idOf, shopRoute } from '../../../utils/api'

export default shopRoute(readImportSchema, ({ event, person, body }) => beginReading(pool(), person, idOf(event), body))
