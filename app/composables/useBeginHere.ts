import type { JobPin } from '~~/core/job'
import type { Opening } from '../local/database'
import { rememberJob } from '../local/jobs'
import { keepOpening } from '../local/openings'
import { useOutboxStore } from '../stores/outbox'
import { useSessionStore } from '../stores/session'
import { isAway } from '../utils/api'
import { sendOpening } from '../utils/send-opening'
import { t } from '../words'

/**
 * Jobs that begin on this device: kept here with what opens them, and sent as soon as somebody answers. Where a browser
 * keeps nothing they go straight to the shop.
 */
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
        timeZone: shop.timeZone,
        school: shop.favouriteSchool,
      },
    }
  }
  /** @throws Refused, or Error in words where the shop does not answer either */
  async function openAtOnce(opening: Opening): Promise<void> {
    try {
      await sendOpening(opening)
    } catch (error) {
      throw isAway(error) ? new Error(t('outbox.that-job-was-not-begun')) : error
    }
  }
  /** @throws Refused, or Error in words where it can be neither kept here nor opened at the shop */
  async function begin(pin: JobPin, opening: Pick<Opening, 'kind' | 'request'>): Promise<number> {
    const { person, shop } = session
    if (!person || !shop) throw new Error('nobody is signed in')
    const kept: Opening = {
      ...opening,
      jobId: pin.jobId,
      name: pin.machine.name,
      openedAt: pin.openedAt,
      shopId: shop.id,
      personId: person.id,
      refused: null,
    } as Opening
    try {
      await rememberJob(shop.id, { pin, events: [], lastSeq: 0 })
      await keepOpening(kept)
    } catch {
      await openAtOnce(kept)
      return pin.jobId
    }
    void outbox.flush()
    return pin.jobId
  }
  return { now, begin }
}
