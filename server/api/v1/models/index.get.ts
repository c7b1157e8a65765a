import { getQuery } from 'h3'
import { publishedPageSchema } from '../../../../shared/spec-book'
import { tokenRoute } from '../../../http/route'
import { publishedModels } from '../../../services/api-tokens'

export default tokenRoute(({ pool, event, shopId }) =>
  publishedModels(pool, shopId, publishedPageSchema.parse(getQuery(event)).after),
)
