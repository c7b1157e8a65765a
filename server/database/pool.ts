import { createPool, type Pool } from 'mysql2/promise'

/** Where the database is, from the environment that the start script sets. */
export interface DatabaseSettings { host: string, port: number, database: string, user: string, password: string }

export function databaseSettings(env: NodeJS.ProcessEnv, account: 'app' | 'migration'): DatabaseSettings {
  const port = Number(env.WEMBRIC_DB_PORT)
  const password = account === 'app' ? env.WEMBRIC_DB_APP_PASSWORD : env.WEMBRIC_DB_MIGRATION_PASSWORD
  if (!port || !password) throw new Error('No database is set up in the environment: start Wembric with “npm start”.')
  return { host: '127.0.0.1', port, database: env.WEMBRIC_DB_NAME ?? 'wembric', user: account === 'app' ? 'wembric_app' : 'wembric_migration', password }
}

const POOL_SIZE = 10

/** Times are UTC on the wire, decimals are numbers, and one statement is sent at a time. */
export const openPool = (settings: DatabaseSettings): Pool =>
  createPool({ ...settings, connectionLimit: POOL_SIZE, timezone: 'Z', decimalNumbers: true, jsonStrings: true, charset: 'utf8mb4', maxPreparedStatements: 200 })
