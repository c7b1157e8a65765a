import { getQuery } from 'h3'
import { searchSchema } from '../../../shared/spec-book'
import { searchModels } from '../../services/spec-book'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

export default shopRoute(null, ({ event, person }) =>
  searchModels(pool(), person.shopId, searchSchema.parse(getQuery(event))),
)
