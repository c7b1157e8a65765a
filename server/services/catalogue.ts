import type { MachineRequest } from '../../shared/requests'
import type { CustomerRow, MachineRow } from '../../shared/responses'
import { type Db, transaction, type Pool } from '../database/query'
import { customerById, customersOfShop, findMachines, insertCustomer, insertMachine, machineById } from '../repositories/machines'
import { modelById } from '../repositories/models'
import { Problem } from '../utils/problem'

const refuse = (field: string, message: string): never => {
  throw new Problem(422, message, { fields: [{ field, message }] })
}

/** Adds a machine, and its owner where that is a new one. */
export const addMachine = (pool: Pool, shopId: number, { customer, ...machine }: MachineRequest): Promise<MachineRow> => transaction(pool, async (db) => {
  if (!await modelById(db, shopId, machine.modelId)) refuse('modelId', 'Choose an engine model of this shop.')
  const known = 'id' in customer ? await customerById(db, shopId, customer.id) : null
  if ('id' in customer && !known) refuse('customer', 'Choose an owner of this shop.')
  const customerId = known?.id ?? await insertCustomer(db, shopId, customer as { name: string, contact: string })
  const id = await insertMachine(db, shopId, { ...machine, customerId })
  return (await machineById(db, shopId, id))!
})

export const listMachines = (db: Db, shopId: number, text: string): Promise<MachineRow[]> => findMachines(db, shopId, text)
export const listCustomers = (db: Db, shopId: number): Promise<CustomerRow[]> => customersOfShop(db, shopId)
