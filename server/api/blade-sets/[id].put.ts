import { changeBladeSet } from '../../services/shelf'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

// a mechanic too: whoever finds a blade bent or gone marks it
export default shopRoute('PUT /api/blade-sets/:id', ({ person, body, id }) =>
  changeBladeSet(pool(), person.shopId, id, body),
)
