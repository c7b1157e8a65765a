import type { DeviceShop } from '~~/shared/device-job'
import { localDatabase, plain } from './database'

const keyOf = (shopId: number): string => `shop ${shopId}`

/** Keeps what this device needs of its shop to begin jobs without a server. */
export const rememberDeviceShop = async (shopId: number, shop: DeviceShop): Promise<void> => {
  await (await localDatabase()).put('device', plain(shop), keyOf(shopId))
}
/** The shop as this device last fetched it, or null. */
export const rememberedDeviceShop = async (shopId: number): Promise<DeviceShop | null> =>
  ((await (await localDatabase()).get('device', keyOf(shopId))) as DeviceShop | undefined) ?? null
