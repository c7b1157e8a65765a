import { answerRowSchema } from '../../../../shared/spec-book'
import { answerRow } from '../../../services/spec-import'
import { pool } from '../../../startup'
import { idOf, shopRoute } from '../../../utils/api'

export default shopRoute(answerRowSchema, ({ event, person, body }) =>
  answerRow(pool(), person, idOf(event), body.rowNo),
)
