import { shopRoute } from '../../http/route'
import { changeBladeSet } from '../../services/shelf'

// a mechanic too: whoever finds a blade bent or gone marks it
export default shopRoute('PUT /api/blade-sets/:id', ({ pool, person, body, id }) =>
  changeBladeSet(pool, person.shopId, id, body),
)
