import { machineSchema } from '../../../shared/requests'
import { addMachine } from '../../services/machines/edit'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

export default shopRoute(machineSchema, ({ person, body }) => addMachine(pool(), person.shopId, body))
