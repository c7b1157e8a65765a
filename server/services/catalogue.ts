import type { MachineRequest, ModelRequest } from '../../shared/requests'
import type { CustomerRow, MachineRow, ModelRow } from '../../shared/responses'
import { type Db, transaction, type Pool } from '../database/query'
import { customerById, customersOfShop, findMachines, insertCustomer, insertMachine, machineById } from '../repositories/machines'
import { approveRevision, insertModel, insertRevision, modelById, modelsOfShop } from '../repositories/models'
import { notFound, Problem } from '../utils/problem'
import type { SignedIn } from './people'

const refuse = (field: string, message: string): never => {
  throw new Problem(422, message, { fields: [{ field, message }] })
}

/** Adds an engine model with its first revision: a lead's stands, a mechanic's is a draft. */
export const addModel = (pool: Pool, person: SignedIn, { engine, ...model }: ModelRequest): Promise<ModelRow> => transaction(pool, async (db) => {
  const modelId = await insertModel(db, person.shopId, model)
  await insertRevision(db, person.shopId, { modelId, revision: 1, engine, authorId: person.id, approved: person.role === 'lead' })
  return (await modelById(db, person.shopId, modelId))!
})

/** A lead approves the newest revision of a model. */
export async function approveModel(db: Db, lead: SignedIn, modelId: number): Promise<ModelRow> {
  const model = await modelById(db, lead.shopId, modelId) ?? refuseMissing()
  if (!await approveRevision(db, lead.shopId, model.revisionId, lead.id)) throw new Problem(409, 'This revision is approved already.')
  return { ...model, status: 'approved' }
}
const refuseMissing = (): never => { throw notFound('model') }

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
export const listModels = (db: Db, shopId: number): Promise<ModelRow[]> => modelsOfShop(db, shopId)
