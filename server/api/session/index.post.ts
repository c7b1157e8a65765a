import { checkSignIn, sessionOf } from '../../services/people'
import { pool } from '../../startup'
import { openRoute } from '../../utils/api'
import { clientAddress } from '../../utils/client-address'
import { knownDevice, startSession } from '../../utils/session'

export default openRoute('POST /api/session', async ({ event, body: { signIn, password } }) => {
  const from = { signIn, address: clientAddress(event), device: knownDevice(event, signIn) }
  const person = await checkSignIn(pool(), from, password)
  await startSession(event, person, signIn)
  return sessionOf(pool(), person)
})
