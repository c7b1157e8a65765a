import { getQuery } from 'h3'
import { exportSchema } from '../../shared/spec-book'
import { csvBook, jsonBook } from '../services/spec-export'
import { fileRoute } from '../http/route'

export default fileRoute(({ pool, event, person }) => {
  const { format, ids, delimiter } = exportSchema.parse(getQuery(event))
  return format === 'csv'
    ? { name: 'spec-book.csv', type: 'text/csv; charset=utf-8', pieces: csvBook(pool, person.shopId, ids, delimiter) }
    : { name: 'spec-book.json', type: 'application/json', pieces: jsonBook(pool, person.shopId, ids) }
})
