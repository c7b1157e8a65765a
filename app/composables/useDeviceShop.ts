import { MINUTE_MS } from '~~/core/units'
import type { DeviceShop } from '~~/shared/device-job'
import { rememberDeviceShop, rememberedDeviceShop } from '../local/device-shop'
import { useSessionStore } from '../stores/session'
import { api } from '../utils/api'

/** What was fetched is good for so long. From memory. */
const FRESH_MS = 10 * MINUTE_MS

/** The shop on this device: its machines, their specs and the shelf, for when no server answers. */
export function useDeviceShop() {
  const session = useSessionStore()
  const known = async (): Promise<DeviceShop | null> =>
    session.shop ? await rememberedDeviceShop(session.shop.id).catch(() => null) : null
  /** Fetches it anew where it is old. What cannot be fetched or kept is tried again another time. */
  async function refresh(): Promise<void> {
    const { shop } = session
    if (!shop) return
    const before = await known()
    if (before && Date.now() + session.skewMs - Date.parse(before.at) < FRESH_MS) return
    await api('GET /api/device-shop')
      .then(fetched => rememberDeviceShop(shop.id, fetched))
      .catch(() => {})
  }
  return { known, refresh }
}
