import { machineEditSchema } from '../../../../shared/requests'
import { editMachine } from '../../../services/machines/edit'
import { pool } from '../../../startup'
import { idOf, shopRoute } from '../../../utils/api'

export default shopRoute(machineEditSchema, ({ event, person, body }) => editMachine(pool(), person, idOf(event), body))
