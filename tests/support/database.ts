import { databaseSettings, openPool } from '../../server/database/pool'

/** The test database, with the application's own rights. */
export const pool = openPool(databaseSettings(process.env, 'app'))
export const migrationSettings = () => databaseSettings(process.env, 'migration')
