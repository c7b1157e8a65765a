import { getQuery } from 'h3'
import { logQuerySchema } from '../../shared/shop-log'
import { fileRoute } from '../http/route'
import { logAsCsv } from '../services/shop-log'

export default fileRoute(
  ({ pool, event, person }) => ({
    name: 'shop-log.csv',
    type: 'text/csv; charset=utf-8',
    pieces: logAsCsv(pool, person, logQuerySchema.parse(getQuery(event))),
  }),
  'lead',
)
