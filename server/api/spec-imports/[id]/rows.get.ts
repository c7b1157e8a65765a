import { getQuery } from 'h3'
import { importRowsSchema } from '../../../../shared/spec-book'
import { readRows } from '../../../services/spec-import'
import { pool } from '../../../startup'
import { idOf, shopRoute } from '../../../utils/api'

export default shopRoute(null, ({ event, person }) => {
  const { state, after } = importRowsSchema.parse(getQuery(event))
  return readRows(pool(), person, idOf(event), state, after)
})
