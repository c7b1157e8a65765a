import { shopRoute } from '../http/route'
import { chooseLanguage } from '../services/people'

export default shopRoute('PUT /api/language', ({ pool, person, body }) => chooseLanguage(pool, person, body.language))
