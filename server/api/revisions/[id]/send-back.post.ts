import { sendBackDraft } from '../../../services/spec-book'
import { pool } from '../../../startup'
import { shopRoute } from '../../../utils/api'

export default shopRoute(
  'POST /api/revisions/:id/send-back',
  ({ person, body, id }) => sendBackDraft(pool(), person, id, body.reason, new Date()),
  'lead',
)
