import { getQuery } from 'h3'
import { exportSchema } from '../../shared/spec-book'
import { fileRoute } from '../http/route'
import { csvBook, jsonBook, workbook } from '../services/spec-export'

const TYPES = {
  csv: 'text/csv; charset=utf-8',
  json: 'application/json',
  xlsx: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
  ods: 'application/vnd.oasis.opendocument.spreadsheet',
}

export default fileRoute(({ pool, event, person: { shopId } }) => {
  const { format, ids, delimiter } = exportSchema.parse(getQuery(event))
  return {
    name: `spec-book.${format}`,
    type: TYPES[format],
    pieces:
      format === 'csv'
        ? csvBook(pool, shopId, ids, delimiter)
        : format === 'json'
          ? jsonBook(pool, shopId, ids)
          : workbook(pool, shopId, ids, format),
  }
})
