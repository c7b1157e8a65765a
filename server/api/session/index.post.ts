import { checkSignIn, sessionOf } from '../../services/people'
import { openRoute } from '../../http/route'
import { clientAddress } from '../../http/client-address'
import { knownDevice, startSession } from '../../http/session'

export default openRoute('POST /api/session', async ({ pool, event, body: { signIn, password } }) => {
  const from = { signIn, address: clientAddress(event), device: knownDevice(event, signIn) }
  const person = await checkSignIn(pool, from, password)
  await startSession(event, person, signIn)
  return sessionOf(pool, person)
})
