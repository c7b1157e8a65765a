import { shopRoute } from '../../../http/route'
import { sendBackDraft } from '../../../services/spec-book'

export default shopRoute(
  'POST /api/revisions/:id/send-back',
  ({ pool, person, body, id }) => sendBackDraft(pool, person, id, body.reason, new Date()),
  'lead',
)
