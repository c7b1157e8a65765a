import { noRoute } from '../utils/api'

export default noRoute
