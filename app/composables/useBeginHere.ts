import type { JobPin } from '~~/core/job'
import type { Opening } from '../local/database'
import { rememberJob } from '../local/jobs'
import { keepOpening } from '../local/openings'
import { useOutboxStore } from '../stores/outbox'
import { useSessionStore } from '../stores/session'

/** Jobs that begin on this device: kept here with what opens them, and sent as soon as somebody answers. */
export function useBeginHere() {
  const session = useSessionStore()
  const outbox = useOutboxStore()
  /** Who begins, when, and by which ways of the shop. @throws Error where nobody is signed in */
  function now() {
    const { person, shop } = session
    if (!person || !shop) throw new Error('nobody is signed in')
    return {
      openedAt: new Date(Date.now() + session.skewMs).toISOString(),
      openedBy: person.name,
      ways: {
        target: shop.target,
        bladeHabit: shop.bladeHabit,
        pairToProve: shop.pairToProve,
        unit: person.unit ?? shop.unit,
        school: shop.favouriteSchool,
      },
    }
  }
  async function begin(pin: JobPin, opening: Pick<Opening, 'kind' | 'request'>): Promise<number> {
    const { person, shop } = session
    if (!person || !shop) throw new Error('nobody is signed in')
    await rememberJob(shop.id, { pin, events: [], lastSeq: 0 })
    await keepOpening({
      ...opening,
      jobId: pin.jobId,
      name: pin.machine.name,
      openedAt: pin.openedAt,
      shopId: shop.id,
      personId: person.id,
      refused: null,
    } as Opening)
    void outbox.flush()
    return pin.jobId
  }
  return { now, begin }
}
