import { getRequestIP } from 'h3'
import { signInSchema } from '../../../shared/requests'
import { checkSignIn, sessionOf } from '../../services/people'
import { pool } from '../../startup'
import { openRoute } from '../../utils/api'
import { startSession } from '../../utils/session'

export default openRoute(signInSchema, async ({ event, body }) => {
  const person = await checkSignIn(pool(), body.signIn, body.password, getRequestIP(event) ?? 'unknown')
  await startSession(event, person)
  return sessionOf(pool(), person)
})
