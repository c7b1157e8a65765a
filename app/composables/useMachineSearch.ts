import { api } from '../utils/api'
import { useFinder } from './useFinder'

/** Machines of the shop as they are typed for, by name, tag, plate, serial number, owner or model. */
export const useMachineSearch = () => useFinder(q => api('GET /api/machines', { query: { q } }))
