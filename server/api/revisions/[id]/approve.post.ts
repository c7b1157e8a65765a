import { approveDraft } from '../../../services/spec-book'
import { pool } from '../../../startup'
import { shopRoute } from '../../../utils/api'

export default shopRoute(
  'POST /api/revisions/:id/approve',
  ({ person, body, id }) => approveDraft(pool(), person, id, body.reason, new Date()),
  'lead',
)
