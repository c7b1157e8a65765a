import { getQuery } from 'h3'
import { publishedPageSchema } from '../../../../shared/spec-book'
import { publishedModels } from '../../../services/api-tokens'
import { pool } from '../../../startup'
import { tokenRoute } from '../../../utils/api'

export default tokenRoute(({ event, shopId }) =>
  publishedModels(pool(), shopId, publishedPageSchema.parse(getQuery(event)).after),
)
