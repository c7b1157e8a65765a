import { shopRoute } from '../../http/route'
import { listPeople } from '../../services/people'

export default shopRoute('GET /api/people', ({ pool, person }) => listPeople(pool, person.shopId))
