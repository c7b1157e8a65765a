import type { BladeSetRow } from '~~/shared/responses'
import { localDatabase, plain } from './database'

const keyOf = (shopId: number): string => `shelf ${shopId}`

/** The shop's blade sets as this device last saw them, for a job that begins without a server. */
export const rememberSets = async (shopId: number, sets: BladeSetRow[]): Promise<void> => {
  await (await localDatabase()).put('device', plain(sets), keyOf(shopId))
}
export const rememberedSets = async (shopId: number): Promise<BladeSetRow[] | null> =>
  ((await (await localDatabase()).get('device', keyOf(shopId))) as BladeSetRow[] | undefined) ?? null
