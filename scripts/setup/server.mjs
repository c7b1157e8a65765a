import { spawn } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { secretsOf } from './database.mjs'
import { freePort } from './ports.mjs'
import { STARTED, StopWithWords } from './say.mjs'

/** Runs our own start script as a process of its own, and waits until it says that it is open. */
export async function startServer({ root, data, port, args = [], env: more = {} }) {
  port ??= await freePort()
  // a database of its own: nothing of the caller's is handed on
  const env = Object.fromEntries(Object.entries(process.env).filter(([name]) => !name.startsWith('WEMBRIC_')))
  const child = spawn('node', [join(root, 'scripts/start.mjs'), ...args], {
    cwd: root,
    env: { ...env, PORT: String(port), HOST: '127.0.0.1', WEMBRIC_DATA: data, WEMBRIC_NIGHTLY: 'off', ...more },
    stdio: ['ignore', 'pipe', 'pipe'],
  })
  let said = ''
  const ready = new Promise((resolve, reject) => {
    const listen = chunk => {
      said += chunk
      if (said.includes(STARTED)) resolve()
    }
    child.stdout.on('data', listen)
    child.stderr.on('data', listen)
    child.once('exit', code => reject(new StopWithWords(`the server ended with ${code}:\n${said}`)))
  })
  await ready
  const secrets = secretsOf(data)
  const dbPort = more.WEMBRIC_DB_URL ? 0 : JSON.parse(readFileSync(join(data, 'mariadb.json'), 'utf8')).port
  return {
    port,
    data,
    child,
    said: () => said,
    env: {
      WEMBRIC_TEST_URL: `http://127.0.0.1:${port}`,
      WEMBRIC_DB_PORT: String(dbPort),
      WEMBRIC_DB_APP_PASSWORD: secrets.app,
      WEMBRIC_DB_MIGRATION_PASSWORD: secrets.migration,
    },
    stop: () =>
      new Promise(resolve => {
        if (child.exitCode !== null || child.signalCode !== null) return resolve()
        child.removeAllListeners('exit')
        child.once('exit', resolve)
        child.kill('SIGTERM')
      }),
  }
}
