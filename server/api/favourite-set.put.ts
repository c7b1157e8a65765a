import { chooseFavouriteSet } from '../services/shelf'
import { pool } from '../startup'
import { shopRoute } from '../utils/api'

export default shopRoute('PUT /api/favourite-set', ({ person, body }) =>
  chooseFavouriteSet(pool(), person.shopId, person.id, body.bladeSetId),
)
