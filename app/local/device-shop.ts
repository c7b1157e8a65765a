import type { DeviceShop } from '~~/shared/device-job'
import { inStore, plain } from './database'

const keyOf = (shopId: number): string => `shop ${shopId}`

/** Keeps what this device needs of its shop to begin jobs without a server. */
export const rememberDeviceShop = (shopId: number, shop: DeviceShop): Promise<unknown> =>
  inStore(db => db.put('device', plain(shop), keyOf(shopId)))
/** The shop as this device last fetched it, or null. */
export const rememberedDeviceShop = (shopId: number): Promise<DeviceShop | null> =>
  inStore(async db => ((await db.get('device', keyOf(shopId))) as DeviceShop | undefined) ?? null)
