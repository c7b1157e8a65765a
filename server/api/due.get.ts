import { getQuery } from 'h3'
import { weeksSchema } from '../../shared/requests'
import { dueList } from '../services/due'
import { pool } from '../startup'
import { shopRoute } from '../utils/api'

export default shopRoute(null, ({ event, person }) => {
  const { weeks, most } = weeksSchema.parse(getQuery(event))
  return dueList(pool(), person.shopId, weeks, new Date(), most)
})
