import { ref } from 'vue'
import { numberOf } from '~~/core/units'
import type { ShopHere, WayIn } from '~~/shared/shops'
import { api, append } from '../utils/api'
import { useForm } from './useForm'
import { useSaid } from './useSaid'

/** A shop's limits as they are typed. */
export interface TypedLimits {
  shortName: string
  host: string
  mostPeople: string
  mostPhotoMb: string
}
/** Empty is no limit; what is no whole number is refused in words. “1,000” is a thousand: nobody limits to 1.000. */
const limitOf = (typed: string): number | null => numberOf(typed, value => value >= 1000)
export const limitsOf = ({ shortName, host, mostPeople, mostPhotoMb }: TypedLimits) => ({
  shortName,
  host,
  mostPeople: limitOf(mostPeople),
  mostPhotoMb: limitOf(mostPhotoMb),
})
export const typedLimits = ({ shortName, host, mostPeople, mostPhotoMb }: ShopHere): TypedLimits => ({
  shortName: shortName ?? '',
  host: host ?? '',
  mostPeople: mostPeople === null ? '' : String(mostPeople),
  mostPhotoMb: mostPhotoMb === null ? '' : String(mostPhotoMb),
})

/** The shops of a server, for whoever runs it. */
export function useShopsHere() {
  const list = useForm()
  const adding = useForm()
  const settling = useForm()
  const said = useSaid()
  const shops = ref<ShopHere[] | null>(null)
  /** How the lead of a new shop, or one who lost the password, comes in: told once. */
  const wayIn = ref<WayIn | null>(null)
  const load = async () => {
    shops.value = (await list.send(() => api('GET /api/shops'))) ?? shops.value
  }
  async function change(form: ReturnType<typeof useForm>, work: () => Promise<unknown>): Promise<boolean> {
    if ((await form.send(work)) === null) return false
    said()
    await load()
    return true
  }
  async function made(form: ReturnType<typeof useForm>, work: () => Promise<WayIn>): Promise<boolean> {
    const way = await form.send(work)
    if (!way) return false
    wayIn.value = way
    await load()
    return true
  }
  return {
    list,
    adding,
    settling,
    shops,
    wayIn,
    load,
    add: (body: Parameters<typeof append<'POST /api/shops'>>[1]['body']) =>
      made(adding, () => append('POST /api/shops', { body })),
    newCode: (id: number) => made(list, () => api('POST /api/shops/:id/code', { id })),
    settle: (id: number, typed: TypedLimits) =>
      change(settling, () => api('PUT /api/shops/:id', { id, body: limitsOf(typed) })),
    close: (id: number) => change(list, () => api('POST /api/shops/:id/close', { id })),
    reopen: (id: number) => change(list, () => api('POST /api/shops/:id/reopen', { id })),
  }
}
