import { chooseFavouriteSet } from '../services/shelf'
import { shopRoute } from '../http/route'

export default shopRoute('PUT /api/favourite-set', ({ pool, person, body }) =>
  chooseFavouriteSet(pool, person.shopId, person.id, body.bladeSetId),
)
