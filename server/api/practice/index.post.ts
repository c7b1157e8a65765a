import { practiceRunSchema } from '../../../shared/practice'
import { handOver } from '../../services/practice'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

export default shopRoute(practiceRunSchema, ({ person, body }) => handOver(pool(), person, body, new Date()))
