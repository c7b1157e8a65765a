import { ref } from 'vue'
import { findAmongModels } from '~~/core/spec-book/find-model'
import type { SearchResponse } from '~~/shared/spec-book'
import { api, isAway } from '../utils/api'
import { useDeviceShop } from './useDeviceShop'
import { useFinder } from './useFinder'

/**
 * Models of the spec book as they are typed for; come from a machine, its own model stands first. Where no server
 * answers, among those that the shop's machines have, which are on this device: `fetchedAt` is when they were fetched,
 * null where the server answered.
 */
export function useModelSearch(limit = 20, machine?: string) {
  const device = useDeviceShop()
  const fetchedAt = ref<string | null>(null)
  const finder = useFinder(async (q): Promise<SearchResponse> => {
    try {
      const found = await api('GET /api/models', { query: { q, limit, ...(machine ? { machine } : {}) } })
      fetchedAt.value = null
      return found
    } catch (error) {
      const shop = isAway(error) ? await device.known() : null
      if (!shop) throw error
      fetchedAt.value = shop.at
      const models = shop.models.map(m => m.hit)
      return { rows: findAmongModels(q, models, limit), total: models.length, recent: false }
    }
  }, 90)
  return { ...finder, fetchedAt }
}
