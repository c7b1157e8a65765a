import { findAmongModels } from '~~/core/spec-book/find-model'
import type { SearchResponse } from '~~/shared/spec-book'
import { api } from '../utils/api'
import { useShopFinder } from './useShopFinder'

/**
 * Models of the spec book as they are typed for; come from a machine, its own model stands first. Where no server
 * answers, among those that the shop's machines have.
 */
export const useModelSearch = (limit = 20, machine?: string) =>
  useShopFinder<SearchResponse>(
    q => api('GET /api/models', { query: { q, limit, ...(machine ? { machine } : {}) } }),
    (shop, q) => {
      const models = shop.models.map(m => m.hit)
      return { rows: findAmongModels(q, models, limit), total: models.length, recent: false }
    },
    90,
  )
