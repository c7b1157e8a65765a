import { getQuery } from 'h3'
import { weeksSchema } from '../../../../shared/requests'
import { draftReminder } from '../../../services/due'
import { pool } from '../../../startup'
import { idOf, shopRoute } from '../../../utils/api'

export default shopRoute(null, ({ event, person }) =>
  draftReminder(pool(), person.shopId, idOf(event), weeksSchema.parse(getQuery(event)).weeks, new Date()),
)
