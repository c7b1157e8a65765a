import { getRouterParam } from 'h3'
import { tokenRoute } from '../../../http/route'
import { publishedModel } from '../../../services/api-tokens'

export default tokenRoute(({ pool, event, shopId }) => publishedModel(pool, shopId, getRouterParam(event, 'key') ?? ''))
