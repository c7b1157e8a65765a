import { ref } from 'vue'
import { findAmongMachines } from '~~/core/search'
import { api, isAway } from '../utils/api'
import { useDeviceShop } from './useDeviceShop'
import { useFinder } from './useFinder'

/** As many as a list under a finger holds. */
const MOST_FOUND = 50

/**
 * Machines of the shop as they are typed for, by name, tag, plate, serial number, owner or model; where no server
 * answers, among those on this device. `fetchedAt` is when these were fetched, null where the server answered.
 */
export function useMachineSearch() {
  const device = useDeviceShop()
  const fetchedAt = ref<string | null>(null)
  const finder = useFinder(async q => {
    try {
      const rows = await api('GET /api/machines', { query: { q } })
      fetchedAt.value = null
      return rows
    } catch (error) {
      const shop = isAway(error) ? await device.known() : null
      if (!shop) throw error
      fetchedAt.value = shop.at
      return findAmongMachines(q, shop.machines, MOST_FOUND)
    }
  })
  return { ...finder, fetchedAt }
}
