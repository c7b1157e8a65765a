import { say } from '../../core/said'
import type { CustomerChange, CustomerRequest, CustomerRow } from '../../shared/customers'
import { type Db, type Pool, transaction } from '../database/query'
import { notFound, Problem } from '../problem'
import {
  customerById,
  customersOfShop,
  deleteCustomer,
  dropRemindersOf,
  holdCustomer,
  insertCustomer,
  machinesOfCustomer,
  moveCustomer,
  updateCustomer,
} from '../repositories/customers'
import { laidOver } from './laid-over'

export const listCustomers = (db: Db, shopId: number): Promise<CustomerRow[]> => customersOfShop(db, shopId)

export async function addCustomer(pool: Pool, shopId: number, request: CustomerRequest): Promise<CustomerRow> {
  return (await customerById(pool, shopId, await insertCustomer(pool, shopId, request)))!
}
export async function editCustomer(
  pool: Pool,
  shopId: number,
  id: number,
  request: CustomerChange,
): Promise<CustomerRow> {
  await transaction(pool, async db => {
    const now = (await holdCustomer(db, shopId, id)) && (await customerById(db, shopId, id))
    if (!now) throw notFound('owner')
    await updateCustomer(db, shopId, id, laidOver<CustomerRequest>(now, request))
  })
  return (await customerById(pool, shopId, id))!
}

/** Two entries of one owner become one. */
export const mergeCustomers = (pool: Pool, shopId: number, id: number, intoId: number): Promise<CustomerRow> =>
  transaction(pool, async db => {
    if (id === intoId)
      throw new Problem('unfit', say('refused.choose-another-owner-than-this'), {
        fields: [{ field: 'intoId', message: say('wrong.choose-another-owner-than-this') }],
      })
    const [from, into] = [await customerById(db, shopId, id), await customerById(db, shopId, intoId)]
    if (!from || !into) throw notFound('owner')
    await moveCustomer(db, shopId, id, intoId)
    await updateCustomer(db, shopId, intoId, {
      name: into.name,
      contact: into.contact || from.contact,
      email: into.email || from.email,
      language: into.language ?? from.language,
    })
    await deleteCustomer(db, shopId, id)
    return (await customerById(db, shopId, intoId))!
  })

/** An owner's machines. @throws Problem open-job while one of them is worked on */
export async function idleMachinesOf(db: Db, shopId: number, { id, name }: CustomerRow): Promise<{ name: string }[]> {
  const machines = await machinesOfCustomer(db, shopId, id)
  const busy = machines.filter(m => m.openJobNumber !== null)
  if (busy.length === 0) return machines
  const jobs = busy.map(m => ({ number: m.openJobNumber!, machine: m.name }))
  throw new Problem('open-job', say('refused.owner-busy', { owner: name, jobs }))
}

/** Takes an owner off the list who has no machine any more. Machines carry history: they go to somebody first. */
export const removeCustomer = (pool: Pool, shopId: number, id: number): Promise<void> =>
  transaction(pool, async db => {
    const customer = await customerById(db, shopId, id)
    if (!customer) throw notFound('owner')
    const machines = await idleMachinesOf(db, shopId, customer)
    if (machines.length)
      throw new Problem(
        'has-machines',
        say('refused.owner-owns', { owner: customer.name, machines: machines.map(m => m.name) }),
      )
    await dropRemindersOf(db, shopId, id)
    await deleteCustomer(db, shopId, id)
  })
