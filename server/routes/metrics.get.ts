import { getHeader } from 'h3'
import { textRoute } from '../http/route'
import { readMetrics } from '../services/measured'

export default textRoute(({ pool, event }) => readMetrics(pool, getHeader(event, 'authorization')))
