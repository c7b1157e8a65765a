import type { ApiKey } from '../../shared/api'
import { checkRunsServer } from '../services/server-runner'
import { shopRoute } from './route'

/** A route for whoever runs the server, who sees that there are other shops, and nothing that is written down there. */
export const runnerRoute = <K extends ApiKey>(key: K, work: Parameters<typeof shopRoute<K>>[1]) =>
  shopRoute<K>(
    key,
    given => {
      checkRunsServer(given.person)
      return work(given)
    },
    'lead',
  )
