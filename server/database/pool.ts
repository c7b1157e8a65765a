import { createPool, type Pool } from 'mysql2/promise'

/** Where the database is, from the environment that the start script sets. */
export interface DatabaseSettings {
  host: string
  port: number
  database: string
  user: string
  password: string
}

export function databaseSettings(env: NodeJS.ProcessEnv, account: 'app' | 'migration'): DatabaseSettings {
  const url = account === 'app' ? env.WEMBRIC_DB_URL : (env.WEMBRIC_MIGRATION_DB_URL ?? env.WEMBRIC_DB_URL)
  if (url) return settingsOf(new URL(url))
  const port = Number(env.WEMBRIC_DB_PORT)
  const password = account === 'app' ? env.WEMBRIC_DB_APP_PASSWORD : env.WEMBRIC_DB_MIGRATION_PASSWORD
  if (!port || !password) throw new Error('No database is set up in the environment: start Wembric with “npm start”.')
  return {
    host: '127.0.0.1',
    port,
    database: env.WEMBRIC_DB_NAME ?? 'wembric',
    user: account === 'app' ? 'wembric_app' : 'wembric_migration',
    password,
  }
}

const settingsOf = (url: URL): DatabaseSettings => ({
  host: url.hostname,
  port: Number(url.port || 3306),
  user: decodeURIComponent(url.username),
  password: decodeURIComponent(url.password),
  database: decodeURIComponent(url.pathname.slice(1)),
})

/** As our own MariaDB is started: another server may be set otherwise. */
const SESSION =
  "SET SESSION sql_mode = 'STRICT_ALL_TABLES,NO_ZERO_DATE,NO_ZERO_IN_DATE,ERROR_FOR_DIVISION_BY_ZERO,NO_ENGINE_SUBSTITUTION', time_zone = '+00:00'"
const POOL_SIZE = 10

/** Times are UTC on the wire, decimals are numbers, and one statement is sent at a time. */
export function openPool(settings: DatabaseSettings): Pool {
  const pool = createPool({
    ...settings,
    connectionLimit: POOL_SIZE,
    timezone: 'Z',
    decimalNumbers: true,
    jsonStrings: true,
    charset: 'utf8mb4',
    // a stack for each call costs more than some calls; what failed is named by its statement
    trace: false,
    maxPreparedStatements: 200,
  })
  pool.on('connection', connection => void connection.query(SESSION))
  return pool
}

let opened: Pool | null = null
/** The application’s connections; opened once. */
export const pool = (): Pool => (opened ??= openPool(databaseSettings(process.env, 'app')))
