import { shopRoute } from '../../http/route'
import { removePhoto } from '../../services/photos'

export default shopRoute('DELETE /api/photos/:id', ({ pool, person, id }) => removePhoto(pool, person.shopId, id))
