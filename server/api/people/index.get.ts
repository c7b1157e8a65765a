import { listPeople } from '../../services/people'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

export default shopRoute('GET /api/people', ({ person }) => listPeople(pool(), person.shopId))
