import { openApi } from '../../../shared/openapi'
import { openRoute } from '../../utils/api'

export default openRoute(null, () => Promise.resolve(openApi()))
