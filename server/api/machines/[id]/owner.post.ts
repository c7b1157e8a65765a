import { ownerChangeSchema } from '../../../../shared/requests'
import { changeOwner } from '../../../services/machines/edit'
import { pool } from '../../../startup'
import { idOf, shopRoute } from '../../../utils/api'

export default shopRoute(ownerChangeSchema, ({ event, person, body }) =>
  changeOwner(pool(), person, idOf(event), body, new Date()),
)
