import { getRouterParam } from 'h3'
import { fileRoute } from '../../http/route'
import { fetchBackup } from '../../services/backups'

export default fileRoute(({ pool, event, person }) => {
  const name = getRouterParam(event, 'name') ?? ''
  return { name, type: 'application/octet-stream', pieces: fetchBackup(pool, person, name) }
}, 'lead')
