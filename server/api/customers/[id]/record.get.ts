import { recordOf } from '../../../services/privacy'
import { idOf } from '../../../http/route'
import { bytesRoute } from '../../../http/file-route'

export default bytesRoute(({ pool, event, person }) => recordOf(pool, person.shopId, idOf(event), new Date()))
