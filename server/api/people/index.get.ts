import { listPeople } from '../../services/people'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

export default shopRoute(null, ({ person }) => listPeople(pool(), person.shopId))
