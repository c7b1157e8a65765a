import { shopRoute } from '../../../http/route'
import { answerRow } from '../../../services/spec-import'

export default shopRoute('POST /api/spec-imports/:id/answer', ({ pool, person, body, id }) =>
  answerRow(pool, person, id, body.rowNo),
)
