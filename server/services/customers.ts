import type { CustomerRequest } from '../../shared/requests'
import type { CustomerRow } from '../../shared/responses'
import { type Db, type Pool, transaction } from '../database/query'
import {
  customerById,
  customersOfShop,
  deleteCustomer,
  dropRemindersOf,
  insertCustomer,
  machinesOfCustomer,
  moveCustomer,
  updateCustomer,
} from '../repositories/customers'
import { notFound, Problem } from '../problem'

export const listCustomers = (db: Db, shopId: number): Promise<CustomerRow[]> => customersOfShop(db, shopId)

export async function addCustomer(pool: Pool, shopId: number, request: CustomerRequest): Promise<CustomerRow> {
  return (await customerById(pool, shopId, await insertCustomer(pool, shopId, request)))!
}
export async function editCustomer(
  pool: Pool,
  shopId: number,
  id: number,
  request: CustomerRequest,
): Promise<CustomerRow> {
  if (!(await customerById(pool, shopId, id))) throw notFound('owner')
  await updateCustomer(pool, shopId, id, request)
  return (await customerById(pool, shopId, id))!
}

/** Two entries of one owner become one. */
export const mergeCustomers = (pool: Pool, shopId: number, id: number, intoId: number): Promise<CustomerRow> =>
  transaction(pool, async db => {
    if (id === intoId)
      throw new Problem('unfit', 'Choose another owner than this one.', {
        fields: [{ field: 'intoId', message: 'Choose another owner than this one.' }],
      })
    const [from, into] = [await customerById(db, shopId, id), await customerById(db, shopId, intoId)]
    if (!from || !into) throw notFound('owner')
    await moveCustomer(db, shopId, id, intoId)
    await updateCustomer(db, shopId, intoId, {
      name: into.name,
      contact: into.contact || from.contact,
      email: into.email || from.email,
    })
    await deleteCustomer(db, shopId, id)
    return (await customerById(db, shopId, intoId))!
  })

/** Takes an owner off the list who has no machine any more. Machines carry history: they go to somebody first. */
export const removeCustomer = (pool: Pool, shopId: number, id: number): Promise<void> =>
  transaction(pool, async db => {
    const customer = await customerById(db, shopId, id)
    if (!customer) throw notFound('owner')
    const machines = await machinesOfCustomer(db, shopId, id)
    const busy = machines.filter(m => m.openJobNumber !== null)
    if (busy.length)
      throw new Problem(
        'open-job',
        `${customer.name} has open jobs: ${busy.map(m => `job ${m.openJobNumber} on ${m.name}`).join(', ')}. Close or abandon them first, and give the machines to somebody.`,
      )
    if (machines.length)
      throw new Problem(
        'has-machines',
        `${customer.name} owns ${machines.map(m => m.name).join(', ')}. Give ${machines.length === 1 ? 'it' : 'them'} to another owner first, or merge the two owners: the history stays with the machine.`,
      )
    await dropRemindersOf(db, shopId, id)
    await deleteCustomer(db, shopId, id)
  })
