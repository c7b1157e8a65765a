import { bytesRoute } from '../../../http/file-route'
import { idOf } from '../../../http/route'
import { recordOf } from '../../../services/privacy'

export default bytesRoute(({ pool, event, person }) => recordOf(pool, person.shopId, idOf(event), new Date()))
