import { getQuery } from 'h3'
import { summarySchema } from '../../../../shared/requests'
import { customerSummary } from '../../../services/customer-summary'
import { pool } from '../../../startup'
import { idOf, shopRoute } from '../../../utils/api'

export default shopRoute(null, ({ event, person }) =>
  customerSummary(pool(), person.shopId, idOf(event), summarySchema.parse(getQuery(event)).year, new Date()),
)
