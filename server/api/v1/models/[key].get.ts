import { getRouterParam } from 'h3'
import { publishedModel } from '../../../services/api-tokens'
import { pool } from '../../../startup'
import { tokenRoute } from '../../../utils/api'

export default tokenRoute(({ event, shopId }) => publishedModel(pool(), shopId, getRouterParam(event, 'key') ?? ''))
