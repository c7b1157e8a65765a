import { shopRoute } from '../../../http/route'
import { listPhotos } from '../../../services/photos'

export default shopRoute('GET /api/machines/:id/photos', ({ pool, person, id }) => listPhotos(pool, person.shopId, id))
