import { mergeSchema } from '../../../../shared/requests'
import { mergeMachines } from '../../../services/machines/edit'
import { pool } from '../../../startup'
import { idOf, shopRoute } from '../../../utils/api'

export default shopRoute(mergeSchema, ({ event, person, body }) =>
  mergeMachines(pool(), person, idOf(event), body.intoId, new Date()),
)
