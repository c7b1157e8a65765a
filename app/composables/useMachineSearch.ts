import { findAmongMachines } from '~~/core/search'
import { api } from '../utils/api'
import { useShopFinder } from './useShopFinder'

/** As many as a list under a finger holds. */
const MOST_FOUND = 50

/** Machines of the shop as they are typed for, by name, tag, plate, serial number, owner or model. */
export const useMachineSearch = () =>
  useShopFinder(
    q => api('GET /api/machines', { query: { q } }),
    ({ machines }, q) => findAmongMachines(q, machines, MOST_FOUND),
  )
