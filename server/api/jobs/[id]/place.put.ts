import { placeSchema } from '../../../../shared/requests'
import { placeJob } from '../../../services/board'
import { pool } from '../../../startup'
import { idOf, shopRoute } from '../../../utils/api'

export default shopRoute(placeSchema, ({ event, person, body }) => placeJob(pool(), person, idOf(event), body))
