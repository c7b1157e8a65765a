import { getQuery } from 'h3'
import { publishedPageSchema } from '../../../../shared/spec-book'
import { publishedModels } from '../../../services/api-tokens'
import { tokenRoute } from '../../../http/route'

export default tokenRoute(({ pool, event, shopId }) =>
  publishedModels(pool, shopId, publishedPageSchema.parse(getQuery(event)).after),
)
