import { removePhoto } from '../../services/photos'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

export default shopRoute('DELETE /api/photos/:id', ({ person, id }) => removePhoto(pool(), person.shopId, id))
