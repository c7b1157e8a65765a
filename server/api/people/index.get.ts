import { listPeople } from '../../services/people'
import { shopRoute } from '../../http/route'

export default shopRoute('GET /api/people', ({ pool, person }) => listPeople(pool, person.shopId))
