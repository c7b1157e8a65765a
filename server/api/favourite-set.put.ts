import { favouriteSetSchema } from '../../shared/requests'
import { chooseFavouriteSet } from '../services/shelf'
import { pool } from '../startup'
import { shopRoute } from '../utils/api'

export default shopRoute(favouriteSetSchema, ({ person, body }) =>
  chooseFavouriteSet(pool(), person.shopId, person.id, body.bladeSetId),
)
