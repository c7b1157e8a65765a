import { reactive, watch } from 'vue'
import { useRoute, useRouter } from '#imports'
import { type MachineListRequest, machineListSchema } from '~~/shared/machines'
import { api } from '../utils/api'
import { useFinder } from './useFinder'

/** Rows of a page of the list. */
export const MACHINES_A_PAGE = 25

type Asked = Omit<MachineListRequest, 'q' | 'most'>
const USUAL: Asked = { owner: 0, kind: '', show: 'all', sort: 'name', down: 'no', from: 0 }

/**
 * The shop's machines, a page at a time. What is asked for stands in the address, so that coming back from a machine
 * finds the list as it was left.
 */
export function useMachineList() {
  const router = useRouter()
  const { q: first, most: _, ...given } = machineListSchema.parse(useRoute().query)
  const asked = reactive<Asked>(given)
  const finder = useFinder(q => api('GET /api/machines/list', { query: { q, ...asked, most: MACHINES_A_PAGE } }))
  finder.q.value = first
  const { q } = finder

  /** Asks for something else: the list begins with its first page again. */
  function ask(change: Partial<Asked>): void {
    Object.assign(asked, { from: 0 }, change)
  }
  watch(q, () => {
    asked.from = 0
  })
  watch(asked, () => finder.find())
  watch([q, asked], () => {
    const unusual = Object.entries({ ...asked, q: q.value }).filter(
      ([name, value]) => value !== (name === 'q' ? '' : USUAL[name as keyof Asked]),
    )
    void router.replace({ query: Object.fromEntries(unusual) })
  })
  return { ...finder, asked, ask }
}
