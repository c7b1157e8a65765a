import { answerRow } from '../../../services/spec-import'
import { pool } from '../../../startup'
import { shopRoute } from '../../../utils/api'

export default shopRoute('POST /api/spec-imports/:id/answer', ({ person, body, id }) =>
  answerRow(pool(), person, id, body.rowNo),
)
