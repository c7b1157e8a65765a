import { effectOf } from '../../../services/spec-book'
import { pool } from '../../../startup'
import { idOf, shopRoute } from '../../../utils/api'

export default shopRoute(null, ({ event, person }) => effectOf(pool(), person, idOf(event)))
