import { createServer } from 'node:net'

/** A port that nobody listens on, on loopback. */
export const freePort = () =>
  new Promise((resolve, reject) => {
    const server = createServer().once('error', reject)
    server.listen(0, '127.0.0.1', () => {
      const { port } = server.address()
      server.close(() => resolve(port))
    })
  })
