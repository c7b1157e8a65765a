import { openApi } from '../../../shared/openapi'
import { openRoute } from '../../utils/api'

export default openRoute('GET /api/v1/openapi.json', () => Promise.resolve(openApi()))
