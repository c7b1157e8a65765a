import { modelSchema } from '../../../shared/requests'
import { addModel } from '../../services/catalogue'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

export default shopRoute(modelSchema, ({ person, body }) => addModel(pool(), person, body))
