import { fileRoute, idOf } from '../../../http/route'
import { checkRunsServer } from '../../../services/server-runner'
import { fetchFilesOfShop } from '../../../services/shop-files'

export default fileRoute(({ pool, event, person }) => {
  checkRunsServer(person)
  return {
    name: 'wembric-shop.zip',
    type: 'application/zip',
    pieces: fetchFilesOfShop(pool, person, idOf(event), new Date()),
  }
}, 'lead')
