import { fileRoute } from '../http/route'
import { fetchShopFiles } from '../services/shop-files'

export default fileRoute(
  ({ pool, person }) => ({
    name: 'wembric-shop.zip',
    type: 'application/zip',
    pieces: fetchShopFiles(pool, person, new Date()),
  }),
  'lead',
)
