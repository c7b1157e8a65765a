import { listPhotos } from '../../../services/photos'
import { shopRoute } from '../../../http/route'

export default shopRoute('GET /api/machines/:id/photos', ({ pool, person, id }) => listPhotos(pool, person.shopId, id))
