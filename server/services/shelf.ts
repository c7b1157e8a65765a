import equal from 'fast-deep-equal'
import type { BladeSet } from '../../core/feeler'
import type { JobState } from '../../core/job'
import { say } from '../../core/said'
import { type Adapter, type Wrench, wrenchSchema } from '../../core/torque'
import type {
  AdapterChange,
  BladeSetChange,
  BladeSetRow,
  ShelfResponse,
  ShimRequest,
  WrenchChange,
} from '../../shared/shelf'
import type { ShopThing } from '../../words/en/refusals'
import { type Db, type Pool, transaction } from '../database/query'
import { notFound, Problem } from '../problem'
import {
  bladeSetById,
  bladeSetsOfShop,
  deleteBladeSet,
  holdBladeSet,
  insertBladeSet,
  updateBladeSet,
} from '../repositories/blade-sets'
import { setFavouriteSet } from '../repositories/people'
import { holdShimCount, setShimCount, shimsOfShop, takeShim } from '../repositories/shim-stock'
import {
  adaptersOfShop,
  deleteAdapter,
  deleteWrench,
  holdAdapter,
  holdWrench,
  insertAdapter,
  insertWrench,
  updateAdapter,
  updateWrench,
  wrenchesOfShop,
} from '../repositories/torque-tools'
import { laidOver } from './laid-over'

export const readShelf = async (db: Db, shopId: number): Promise<ShelfResponse> => ({
  bladeSets: await bladeSetsOfShop(db, shopId),
  wrenches: await wrenchesOfShop(db, shopId),
  adapters: await adaptersOfShop(db, shopId),
  shims: await shimsOfShop(db, shopId),
})

export const listBladeSets = (db: Db, shopId: number): Promise<BladeSetRow[]> => bladeSetsOfShop(db, shopId)
export const addBladeSet = async (db: Db, shopId: number, set: BladeSet): Promise<{ id: number }> => ({
  id: await insertBladeSet(db, shopId, set),
})

async function there(db: Db, shopId: number, id: number): Promise<void> {
  if (!(await bladeSetById(db, shopId, id))) throw notFound('blade set')
}
/**
 * Jobs that are open keep the blades that they were opened with.
 * @throws Problem changed-meanwhile where the change was made from other blades than are there now
 */
export const changeBladeSet = (
  pool: Pool,
  shopId: number,
  id: number,
  { was, ...set }: BladeSetChange,
): Promise<void> =>
  transaction(pool, async db => {
    const now = await holdBladeSet(db, shopId, id)
    if (!now) throw notFound('blade set')
    if (was && !equal(was, now.blades)) throw new Problem('changed-meanwhile', say('refused.blades-changed'))
    await updateBladeSet(db, shopId, id, set)
  })
export async function removeBladeSet(db: Db, shopId: number, id: number): Promise<void> {
  await there(db, shopId, id)
  await deleteBladeSet(db, shopId, id)
}
/** The set that a person likes to begin with; null for the shop's first. */
export async function chooseFavouriteSet(
  db: Db,
  shopId: number,
  personId: number,
  bladeSetId: number | null,
): Promise<void> {
  if (bladeSetId !== null) await there(db, shopId, bladeSetId)
  await setFavouriteSet(db, shopId, personId, bladeSetId)
}

const known = (what: ShopThing, { affected }: { affected: number }): void => {
  if (affected === 0) throw notFound(what)
}
export const addWrench = async (db: Db, shopId: number, wrench: Wrench) => ({
  id: await insertWrench(db, shopId, wrench),
})
export const changeWrench = (pool: Pool, shopId: number, id: number, wrench: WrenchChange): Promise<void> =>
  transaction(pool, async db => {
    const now = await holdWrench(db, shopId, id)
    if (!now) throw notFound('wrench')
    await updateWrench(db, shopId, id, wrenchSchema.parse(laidOver<Wrench>(now, wrench)))
  })
export const removeWrench = async (db: Db, shopId: number, id: number) =>
  known('wrench', await deleteWrench(db, shopId, id))
export const addAdapter = async (db: Db, shopId: number, adapter: Adapter) => ({
  id: await insertAdapter(db, shopId, adapter),
})
export const changeAdapter = (pool: Pool, shopId: number, id: number, adapter: AdapterChange): Promise<void> =>
  transaction(pool, async db => {
    const now = await holdAdapter(db, shopId, id)
    if (!now) throw notFound('adapter')
    await updateAdapter(db, shopId, id, laidOver<Adapter>(now, adapter))
  })
export const removeAdapter = async (db: Db, shopId: number, id: number) =>
  known('adapter', await deleteAdapter(db, shopId, id))
/**
 * Sets how many of one size are there.
 * @throws Problem changed-meanwhile where it was counted on from another number than is there now
 */
export const countShims = (pool: Pool, shopId: number, { was, ...shim }: ShimRequest): Promise<void> =>
  transaction(pool, async db => {
    const now = await holdShimCount(db, shopId, shim.diameterMm, shim.sizeMm)
    if (was !== undefined && was !== now)
      throw new Problem('changed-meanwhile', say('refused.shims-changed', { was, now }))
    await setShimCount(db, shopId, shim)
  })

/** What a signed job took off the shelf. */
export async function takeFittedShims(db: Db, shopId: number, state: JobState, diameterMm: number): Promise<void> {
  for (const { shim } of state.valves)
    for (const f of shim.fitted) if (f.from === 'stock') await takeShim(db, shopId, diameterMm, f.mm)
}
