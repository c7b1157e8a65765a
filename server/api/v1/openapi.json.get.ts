import { openApi } from '../../../shared/openapi'
import { openRoute } from '../../http/route'

export default openRoute('GET /api/v1/openapi.json', () => Promise.resolve(openApi()))
