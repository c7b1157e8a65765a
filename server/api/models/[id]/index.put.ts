import { identitySchema } from '../../../../core/spec'
import { renameModel } from '../../../services/spec-book'
import { pool } from '../../../startup'
import { idOf, shopRoute } from '../../../utils/api'

export default shopRoute(
  identitySchema,
  ({ event, person, body }) => renameModel(pool(), person, idOf(event), body),
  'lead',
)
