import { api } from '../utils/api'
import { useFinder } from './useFinder'

/** Models of the spec book as they are typed for; come from a machine, its own model stands first. */
export const useModelSearch = (limit = 20, machine?: string) =>
  useFinder(q => api('GET /api/models', { query: { q, limit, ...(machine ? { machine } : {}) } }), 90)
