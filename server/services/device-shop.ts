import { daysIn } from '../../core/units'
import type { DeviceShop } from '../../shared/device-job'
import type { Db } from '../database/query'
import { bladeSetsOfShop } from '../repositories/blade-sets'
import { lastLeftOfMachines, machinesForDevice } from '../repositories/device-shop'
import { modelsByIds } from '../repositories/models'
import { shopById } from '../repositories/shops'
import { adaptersOfShop, wrenchesOfShop } from '../repositories/torque-tools'
import { hitOf } from './spec-book'

const bare = <T extends { id: number }>({ id: _, ...rest }: T) => rest

/** What a device keeps of its shop: machines seen last first, their specs, how they were left, and the shelf. */
export async function deviceShop(db: Db, shopId: number, now: Date): Promise<DeviceShop> {
  const machines = await machinesForDevice(db, shopId)
  const models = await modelsByIds(db, shopId, [...new Set(machines.map(m => m.modelId))])
  const dayOf = daysIn((await shopById(db, shopId)).timeZone)
  const left = new Map<number, DeviceShop['lastLeft'][number]>()
  for (const { machineId, closedAt, valveId, loMm, hiMm } of await lastLeftOfMachines(db, shopId)) {
    const known = left.get(machineId) ?? { machineId, date: dayOf(closedAt), readings: {} }
    known.readings[valveId] = { loMm, hiMm }
    left.set(machineId, known)
  }
  return {
    machines,
    models: models.map(m => ({
      id: m.id,
      name: `${m.maker} ${m.model}`,
      hit: hitOf(m),
      spec: { revisionId: m.revisionId, revision: m.revision, status: m.status, engine: m.engine },
    })),
    lastLeft: [...left.values()],
    sets: await bladeSetsOfShop(db, shopId),
    wrenches: (await wrenchesOfShop(db, shopId)).map(bare),
    adapters: (await adaptersOfShop(db, shopId)).map(bare),
    at: now.toISOString(),
  }
}
