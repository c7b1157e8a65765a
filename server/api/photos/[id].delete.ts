import { removePhoto } from '../../services/photos'
import { shopRoute } from '../../http/route'

export default shopRoute('DELETE /api/photos/:id', ({ pool, person, id }) => removePhoto(pool, person.shopId, id))
