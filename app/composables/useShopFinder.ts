import { computed } from 'vue'
import type { DeviceShop } from '~~/shared/device-job'
import { isAway } from '../utils/api'
import { useDeviceShop } from './useDeviceShop'
import { useFinder } from './useFinder'

/**
 * Finds at the server, and where none answers among what this device has of the shop. `fetchedAt` is when that was
 * fetched, null where what is shown is the server's.
 */
export function useShopFinder<T>(
  ask: (text: string) => Promise<T>,
  amongKnown: (shop: DeviceShop, text: string) => T,
  typingMs?: number,
) {
  const device = useDeviceShop()
  const finder = useFinder(async (text): Promise<{ answer: T; fetchedAt: string | null }> => {
    try {
      return { answer: await ask(text), fetchedAt: null }
    } catch (error) {
      const shop = isAway(error) ? await device.known() : null
      if (!shop) throw error
      return { answer: amongKnown(shop, text), fetchedAt: shop.at }
    }
  }, typingMs)
  return {
    ...finder,
    found: computed(() => finder.found.value?.answer ?? null),
    fetchedAt: computed(() => finder.found.value?.fetchedAt ?? null),
  }
}
