import { shopRoute } from '../../http/route'
import { settleOwn } from '../../services/crew'

export default shopRoute('PUT /api/me', async ({ pool, person, body }) => {
  await settleOwn(pool, person, body)
})
