import { addDraft } from '../../../services/spec-book'
import { pool } from '../../../startup'
import { shopRoute } from '../../../utils/api'

export default shopRoute('POST /api/models/:id/drafts', ({ person, body, id }) => addDraft(pool(), person, id, body))
