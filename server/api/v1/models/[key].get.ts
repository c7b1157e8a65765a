import { getRouterParam } from 'h3'
import { publishedModel } from '../../../services/api-tokens'
import { tokenRoute } from '../../../http/route'

export default tokenRoute(({ pool, event, shopId }) => publishedModel(pool, shopId, getRouterParam(event, 'key') ?? ''))
