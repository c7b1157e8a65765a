import { readImportSchema } from '../../../../shared/spec-book'
import { respeltImport } from '../../../services/spec-import'
import { pool } from '../../../startup'
import { idOf, shopRoute } from '../../../utils/api'

export default shopRoute(readImportSchema.pick({ delimiter: true }), ({ event, person, body }) =>
  respeltImport(pool(), person, idOf(event), body.delimiter),
)
