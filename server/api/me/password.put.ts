import { clientAddress } from '../../http/client-address'
import { shopRoute } from '../../http/route'
import { startSession } from '../../http/session'
import { changeOwnPassword } from '../../services/crew'

export default shopRoute('PUT /api/me/password', async ({ pool, event, person, body }) => {
  const from = { signIn: `person ${person.id}`, address: clientAddress(event), device: null }
  await startSession(event, await changeOwnPassword(pool, person, from, body), null)
})
