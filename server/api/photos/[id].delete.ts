import { removePhoto } from '../../services/photos'
import { pool } from '../../startup'
import { idOf, shopRoute } from '../../utils/api'

export default shopRoute(null, ({ event, person }) => removePhoto(pool(), person.shopId, idOf(event)))
