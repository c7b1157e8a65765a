import { randomInt } from 'node:crypto'
import { createServer } from 'node:net'

/**
 * Below what Linux gives to connections that go out (32768 and up): one of those may take a port between the moment it
 * is found free and the moment a server listens on it.
 */
const [LOWEST, HIGHEST] = [20_000, 32_000]
const TRIES = 50

const isFree = port =>
  new Promise(resolve => {
    const server = createServer().once('error', () => resolve(false))
    server.listen(port, '127.0.0.1', () => server.close(() => resolve(true)))
  })

/** A port that nobody listens on, on loopback. */
export async function freePort() {
  for (let tries = 0; tries < TRIES; tries++) {
    const port = randomInt(LOWEST, HIGHEST)
    if (await isFree(port)) return port
  }
  throw new Error(`No port from ${LOWEST} to ${HIGHEST} is free on 127.0.0.1.`)
}
