import { sendBackDraft } from '../../../services/spec-book'
import { shopRoute } from '../../../http/route'

export default shopRoute(
  'POST /api/revisions/:id/send-back',
  ({ pool, person, body, id }) => sendBackDraft(pool, person, id, body.reason, new Date()),
  'lead',
)
