import { settleOwn } from '../../services/crew'
import { shopRoute } from '../../http/route'

export default shopRoute('PUT /api/me', async ({ pool, person, body }) => {
  await settleOwn(pool, person, body)
})
