// npm run rebuild: makes the readings of every job anew from its log.
import { databaseSettings, openPool } from '../server/database/pool'
import { rebuildReadings } from '../server/services/rebuild'

const pool = openPool(databaseSettings(process.env, 'app'))
const jobs = await rebuildReadings(pool)
console.warn(`Rebuilt the readings of ${jobs} jobs.`)
await pool.end()
