import { statfs } from 'node:fs/promises'
import { say } from '../../core/said'
import type { Pool } from '../database/query'
import { one } from '../database/query'
import { Problem } from '../problem'
import { startedUp } from '../startup'

/** Whoever asks whether we are ready waits no longer than this, ms. */
const PATIENCE_MS = 1500

/** Ready is who has started up and can answer from the database now. @throws Problem 503 */
export async function checkReady(pool: Pool): Promise<{ status: 'ready' }> {
  let timer: NodeJS.Timeout | undefined
  let started = false
  const late = new Promise<never>((_, fail) => {
    timer = setTimeout(() => {
      const code = started ? 'late' : 'starting'
      fail(new Problem(code, say(`refused.${code}`), { retryAfterS: 2 }))
    }, PATIENCE_MS)
  })
  const answering = startedUp().then(() => {
    started = true
    return one(pool, 'SELECT 1 AS answer')
  })
  try {
    await Promise.race([answering, late])
    return { status: 'ready' }
  } finally {
    clearTimeout(timer)
    answering.catch(() => {})
  }
}

/** Under so much room a lead is told; under the second it is urgent. Bytes. */
const LITTLE = 1e9
const VERY_LITTLE = 200e6

export interface Room {
  freeMb: number
  urgent: boolean
}
/**
 * How little room is left where the shop's data lie, or null where there is enough, or the data are not on this
 * machine.
 */
export async function littleRoom(folder = process.env.WEMBRIC_DATA): Promise<Room | null> {
  if (!folder || process.env.WEMBRIC_DB_URL) return null
  try {
    const { bavail, bsize } = await statfs(folder)
    const free = bavail * bsize
    return free < LITTLE ? { freeMb: Math.floor(free / 1e6), urgent: free < VERY_LITTLE } : null
  } catch {
    return null
  }
}
