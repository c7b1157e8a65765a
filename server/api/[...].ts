import { noRoute } from '../http/route'

export default noRoute
