import { getQuery } from 'h3'
import { weeksSchema } from '../../shared/requests'
import { dueList } from '../services/due'
import { pool } from '../startup'
import { shopRoute } from '../utils/api'

export default shopRoute(null, ({ event, person }) => dueList(pool(), person.shopId, weeksSchema.parse(getQuery(event)).weeks, new Date()))
