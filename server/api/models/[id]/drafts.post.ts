import { draftSchema } from '../../../../shared/spec-book'
import { addDraft } from '../../../services/spec-book'
import { pool } from '../../../startup'
import { idOf, shopRoute } from '../../../utils/api'

export default shopRoute(draftSchema, ({ event, person, body }) => addDraft(pool(), person, idOf(event), body))
