import { getRouterParam } from 'h3'
import { say } from '../../../core/said'
import { shopRoute } from '../../http/route'
import { Problem } from '../../problem'
import { machineWithTag } from '../../services/machines/edit'

/** The tag as it was typed or scanned. @throws Problem 404 where it is no text */
function tagOf(written: string): string {
  try {
    return decodeURIComponent(written).slice(0, 40)
  } catch {
    throw new Problem('not-found', say('refused.there-is-no-machine-with'))
  }
}

export default shopRoute('GET /api/tags/:tag', ({ pool, event, person }) =>
  machineWithTag(pool, person.shopId, tagOf(getRouterParam(event, 'tag') ?? '')),
)
