import { listPhotos } from '../../../services/photos'
import { pool } from '../../../startup'
import { shopRoute } from '../../../utils/api'

export default shopRoute('GET /api/machines/:id/photos', ({ person, id }) => listPhotos(pool(), person.shopId, id))
