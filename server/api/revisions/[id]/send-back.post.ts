import { sendBackSchema } from '../../../../shared/spec-book'
import { sendBackDraft } from '../../../services/spec-book'
import { pool } from '../../../startup'
import { idOf, shopRoute } from '../../../utils/api'

export default shopRoute(
  sendBackSchema,
  ({ event, person, body }) => sendBackDraft(pool(), person, idOf(event), body.reason, new Date()),
  'lead',
)
