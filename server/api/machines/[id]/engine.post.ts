import { engineChangeSchema } from '../../../../shared/requests'
import { changeEngine } from '../../../services/machines/edit'
import { pool } from '../../../startup'
import { idOf, shopRoute } from '../../../utils/api'

export default shopRoute(engineChangeSchema, ({ event, person, body }) =>
  changeEngine(pool(), person, idOf(event), body, new Date()),
)
