import { liveRoute } from '../http/live-route'

export default liveRoute
