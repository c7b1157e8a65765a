import { useCode } from '../../services/crew'
import { sessionOf } from '../../services/people'
import { openRoute } from '../../http/route'
import { clientAddress } from '../../http/client-address'
import { knownDevice, startSession } from '../../http/session'

export default openRoute('POST /api/session/code', async ({ pool, event, body }) => {
  const { signIn } = body
  const from = { signIn, address: clientAddress(event), device: knownDevice(event, signIn) }
  const person = await useCode(pool, from, body, new Date())
  await startSession(event, person, signIn)
  return sessionOf(pool, person)
})
