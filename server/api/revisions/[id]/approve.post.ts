import { approvalSchema } from '../../../../shared/spec-book'
import { approveDraft } from '../../../services/spec-book'
import { pool } from '../../../startup'
import { idOf, shopRoute } from '../../../utils/api'

export default shopRoute(
  approvalSchema,
  ({ event, person, body }) => approveDraft(pool(), person, idOf(event), body.reason, new Date()),
  'lead',
)
