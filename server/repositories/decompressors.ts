import type { DecompressorFound } from '../../core/engine'
import { change, type Db, maybeOne } from '../database/query'

/** What earlier jobs found out about a machine's decompressor, its own before its model's; null where nobody looked. */
export async function decompressorKnown(
  db: Db,
  shopId: number,
  { machineId, modelId }: { machineId: number; modelId: number },
): Promise<DecompressorFound | null> {
  const row = await maybeOne<{ found: DecompressorFound | null }>(
    db,
    `SELECT COALESCE(m.decompressor, e.decompressor) AS found FROM machines m
     JOIN engine_models e ON e.shop_id = m.shop_id AND e.id = ?
     WHERE m.shop_id = ? AND m.id = ?`,
    [modelId, shopId, machineId],
  )
  return row?.found ?? null
}

/** Keeps what a signed job found out: with its machine, and where a lead signed it, with the model. */
export async function keepDecompressor(
  db: Db,
  shopId: number,
  found: DecompressorFound,
  { machineId, modelId, personId }: { machineId: number; modelId: number | null; personId: number },
): Promise<void> {
  await change(db, 'UPDATE machines SET decompressor = ? WHERE shop_id = ? AND id = ?', [found, shopId, machineId])
  await change(
    db,
    `UPDATE engine_models SET decompressor = ? WHERE shop_id = ? AND id = ?
     AND EXISTS (SELECT 1 FROM people p WHERE p.shop_id = ? AND p.id = ? AND p.role = 'lead')`,
    [found, shopId, modelId, shopId, personId],
  )
}
