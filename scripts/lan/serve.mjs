import { createServer as createPlain } from 'node:http'
import { createServer as createSecure } from 'node:https'
import { join } from 'node:path'
import { keepingIdle } from '../setup/idle.mjs'
import { say } from '../setup/say.mjs'
import { ownAddresses, ownName, ownNames } from './addresses.mjs'
import { authorityOf, serverCertificate } from './certificates.mjs'
import { ownCertificate } from './own-certificate.mjs'

const LOOK_EVERY_MS = 3600_000
/** What is had without TLS: how to trust, and what is to be trusted. Nothing of a shop is. */
const OPEN = new Map([
  ['/', '/lan/trust'],
  ['/wembric.crt', '/lan/authority.crt'],
  ['/wembric.mobileconfig', '/lan/authority.mobileconfig'],
])

const listening = (server, port, host) =>
  new Promise((done, fail) => {
    server.once('error', fail)
    server.listen(port, host, () => done(server))
  })
const closing = server =>
  new Promise(done => {
    server.close(done)
    setTimeout(() => server.closeAllConnections(), 300)
  })

/** The server of the page that explains how to trust, in plain HTTP. */
const trustServer = listener =>
  createPlain((request, response) => {
    const to = OPEN.get(request.url.split('?')[0])
    if (!to || (request.method !== 'GET' && request.method !== 'HEAD'))
      return response.writeHead(404, { 'content-type': 'text/plain' }).end('There is nothing at this address.\n')
    request.url = to
    listener(request, response)
  })

/**
 * Serves the application to the house, over TLS: with a certificate of the shop's own authority, renewed by itself, or
 * one of the owner's. What phones are to open is told to the application in WEMBRIC_LAN.
 * @returns how to end it
 */
export async function serveHouse({ listener, host, port, trustPort, data, env = process.env }) {
  const folder = join(data, 'tls')
  const owned = ownCertificate(env, ownNames(ownAddresses()))
  const authority = owned ? null : await authorityOf(folder, ownName())
  let addresses = ownAddresses()
  const certificate = () => (owned ? owned : serverCertificate(folder, authority, ownNames(addresses)))
  const tell = () => {
    const called = owned ? owned.names : [...addresses, `${ownName()}.local`]
    env.WEMBRIC_LAN = JSON.stringify({
      app: called.map(name => `https://${name}:${port}`),
      trust: owned ? null : `http://${called[0]}:${trustPort}`,
      authority: authority?.pem ?? null,
    })
  }
  env.WEMBRIC_TLS = '1'
  tell()
  const secure = keepingIdle(createSecure({ ...(await certificate()), minVersion: 'TLSv1.2' }, listener))
  await listening(secure, port, host)
  const plain = owned ? null : await listening(trustServer(listener), trustPort, host)
  // a new address, a certificate near its end, a clock that jumped: looked at by the hour
  const looking = setInterval(() => {
    addresses = ownAddresses()
    Promise.resolve(certificate())
      .then(made => {
        if (!made.isNew) return
        secure.setSecureContext({ ...made, minVersion: 'TLSv1.2' })
        tell()
        say('the certificate for phones was renewed')
      })
      .catch(error => console.error(`The certificate for phones could not be renewed: ${error.message}`))
  }, LOOK_EVERY_MS).unref()
  return async () => {
    clearInterval(looking)
    await Promise.all([closing(secure), plain && closing(plain)])
  }
}
