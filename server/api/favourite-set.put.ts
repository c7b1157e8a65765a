import { shopRoute } from '../http/route'
import { chooseFavouriteSet } from '../services/shelf'

export default shopRoute('PUT /api/favourite-set', ({ pool, person, body }) =>
  chooseFavouriteSet(pool, person.shopId, person.id, body.bladeSetId),
)
