import { listPhotos } from '../../../services/photos'
import { pool } from '../../../startup'
import { idOf, shopRoute } from '../../../utils/api'

export default shopRoute(null, ({ event, person }) => listPhotos(pool(), person.shopId, idOf(event)))
