import { chooseLanguage } from '../services/people'
import { shopRoute } from '../http/route'

export default shopRoute('PUT /api/language', ({ pool, person, body }) => chooseLanguage(pool, person, body.language))
