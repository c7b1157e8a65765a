import { tokenSchema } from '../../../shared/spec-book'
import { makeToken } from '../../services/api-tokens'
import { pool } from '../../startup'
import { shopRoute } from '../../utils/api'

export default shopRoute(tokenSchema, ({ person, body }) => makeToken(pool(), person, body.name), 'lead')
