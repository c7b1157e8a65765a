import { takingRoute } from '../../http/file-route'
import { takeBackup } from '../../services/restore-here'

export default takingRoute(({ pool, event }) => takeBackup(pool, event.node.req))
