import { wrenchRequestSchema } from '../../../shared/requests'
import { changeWrench } from '../../services/shelf'
import { pool } from '../../startup'
import { idOf, shopRoute } from '../../utils/api'

export default shopRoute(
  wrenchRequestSchema,
  ({ event, person, body }) => changeWrench(pool(), person.shopId, idOf(event), body),
  'lead',
)
