import { modelSchema } from '../../../shared/spec-book'
import { addModel } from '../../services/spec-book'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

export default shopRoute(modelSchema, ({ person, body }) => addModel(pool(), person, body))
