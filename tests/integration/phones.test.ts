import { execFileSync, spawnSync } from 'node:child_process'
import { X509Certificate } from 'node:crypto'
import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { request } from 'node:https'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
// @ts-expect-error plain scripts
import { ownAddresses, ownName } from '../../scripts/lan/addresses.mjs'
// @ts-expect-error plain scripts
import { authorityOf, serverCertificate } from '../../scripts/lan/certificates.mjs'
// @ts-expect-error plain scripts
import { ownCertificate } from '../../scripts/lan/own-certificate.mjs'
// @ts-expect-error plain scripts
import { freePort } from '../../scripts/setup/ports.mjs'
// @ts-expect-error plain scripts
import { startServer } from '../../scripts/setup/server.mjs'
import { deviceNameOf } from '../../server/services/phones'
import type { PhonesResponse } from '../../shared/phones'
import { pool } from '../support/database'
import { Client } from '../support/server'

const folder = mkdtempSync(join(tmpdir(), 'wembric-phones-'))
afterAll(async () => {
  await pool.end()
  rmSync(folder, { recursive: true, force: true })
})
const tls = join(folder, 'tls')
const NAMES = ['localhost', 'shopbox', 'shopbox.local', '127.0.0.1', '192.168.4.20']
const DAY_MS = 86_400_000
/** What OpenSSL, a program of others, says of a server's certificate. */
const verify = (authority: string, server: string): string => {
  const { status, stderr } = spawnSync('openssl', ['verify', '-x509_strict', '-CAfile', authority, server], {
    encoding: 'utf8',
  })
  return status === 0 ? 'OK' : stderr
}

describe('the shop’s own authority', () => {
  it('vouches for the shop’s computer by every name it has, and its key is its owner’s alone', async () => {
    const authority = await authorityOf(tls, 'shopbox')
    const { cert } = await serverCertificate(tls, authority, NAMES)
    expect(verify(join(tls, 'authority.crt'), join(tls, 'server.crt'))).toBe('OK')
    const parsed = new X509Certificate(cert as string)
    for (const name of ['localhost', 'shopbox', 'shopbox.local']) expect(parsed.checkHost(name)).toBe(name)
    for (const address of ['127.0.0.1', '192.168.4.20']) expect(parsed.checkIP(address)).toBe(address)
    expect(parsed.checkHost('elsewhere.local')).toBeUndefined()
    // iPhones refuse a server's certificate of more than 398 days, and one without this use (Apple, HT210176, HT211025)
    expect((Date.parse(parsed.validTo) - Date.parse(parsed.validFrom)) / DAY_MS).toBeLessThan(398)
    expect(parsed.keyUsage).toEqual(['1.3.6.1.5.5.7.3.1'])
    expect(execFileSync('stat', ['-c', '%a', join(tls, 'authority.key')], { encoding: 'utf8' }).trim()).toBe('600')
  })
  it.each(['bank.example', '8.8.8.8', '2001:db8::1'])(
    'cannot vouch for %s: who steals its key gains no more than the house',
    async name => {
      const stolen = join(folder, `stolen-${name.replaceAll(/\W/g, '')}`)
      mkdirSync(stolen)
      await serverCertificate(stolen, await authorityOf(tls, 'shopbox'), [name])
      expect(verify(join(tls, 'authority.crt'), join(stolen, 'server.crt'))).toMatch(/permitted subtree violation/)
    },
  )
  it('renews by itself: near the end, for a new address, and after a clock that jumped either way', async () => {
    const authority = await authorityOf(tls, 'shopbox')
    const at = (days: number, names = NAMES) =>
      serverCertificate(tls, authority, names, new Date(Date.now() + days * DAY_MS)) as Promise<{ isNew: boolean }>
    expect((await at(0)).isNew).toBe(false)
    expect((await at(55)).isNew).toBe(false)
    expect((await at(65)).isNew).toBe(true)
    // back again: the one that was made begins in time that has not come
    expect((await at(0)).isNew).toBe(true)
    expect((await at(0, [...NAMES, '10.0.0.7'])).isNew).toBe(true)
    expect((await at(0)).isNew).toBe(false)
  })
  it('this computer’s addresses are those of the house alone', () => {
    const on = (address: string, internal = false) => [{ address, internal, family: 'IPv4' }]
    expect(
      ownAddresses({ lo: on('127.0.0.1', true), a: on('192.168.4.20'), b: on('203.0.113.9'), c: on('10.1.2.3') }),
    ).toEqual(['192.168.4.20', '10.1.2.3'])
    expect(ownName('The Shop’s_Box.example')).toBe('the-shop-s-box')
  })
})

describe('a certificate of the owner’s own', () => {
  const files = (name: string) => ({
    WEMBRIC_TLS_CERT: join(folder, `${name}.crt`),
    WEMBRIC_TLS_KEY: join(folder, `${name}.key`),
  })
  const make = (name: string, host: string, days = '30') =>
    execFileSync(
      'openssl',
      [
        'req',
        '-x509',
        '-newkey',
        'ec',
        '-pkeyopt',
        'ec_paramgen_curve:P-256',
        '-nodes',
        '-days',
        days,
        '-subj',
        `/CN=${host}`,
        '-addext',
        `subjectAltName=DNS:${host}`,
        '-keyout',
        files(name).WEMBRIC_TLS_KEY,
        '-out',
        files(name).WEMBRIC_TLS_CERT,
      ],
      { stdio: 'ignore' },
    )
  beforeAll(() => {
    make('fits', 'shop.example.net')
    make('other', 'elsewhere.example.net')
    writeFileSync(join(folder, 'none.crt'), 'not a certificate')
    writeFileSync(join(folder, 'none.key'), 'not a key')
  })
  it('is used for the name that phones use', () => {
    expect(ownCertificate({ ...files('fits'), WEMBRIC_NAME: 'shop.example.net' }, NAMES)).toMatchObject({
      names: ['shop.example.net'],
    })
    expect(ownCertificate({}, NAMES)).toBeNull()
  })
  it.each([
    ['for another name', { ...files('fits') }, /is for another name \(DNS:shop.example.net\)[\s\S]*WEMBRIC_NAME=/],
    [
      'with the key of another',
      { ...files('fits'), WEMBRIC_TLS_KEY: files('other').WEMBRIC_TLS_KEY },
      /is not the key of/,
    ],
    ['that is none', files('none'), /are not a certificate and its key in PEM/],
    ['that is not there', files('nowhere'), /cannot be read \(ENOENT\)/],
    ['without its key', { WEMBRIC_TLS_CERT: files('fits').WEMBRIC_TLS_CERT }, /a certificate needs its key/],
  ])('%s is refused in words', (_, env, words) => {
    expect(() => ownCertificate(env, NAMES)).toThrow(words)
  })
  it('that is over, or begins later than the clock says, is refused in words', () => {
    const env = { ...files('fits'), WEMBRIC_NAME: 'shop.example.net' }
    expect(() => ownCertificate(env, NAMES, new Date(Date.now() + 40 * DAY_MS))).toThrow(/ended on/)
    expect(() => ownCertificate(env, NAMES, new Date('2020-01-01'))).toThrow(/Check the clock/)
  })
})

describe('npm start -- --lan', () => {
  const data = join(folder, 'data')
  let port: number
  let trustPort: number
  let server: { stop: () => Promise<void>; said: () => string }
  let authority: string
  const secure = (
    path: string,
    ca: string | undefined,
    headers: Record<string, string> = {},
    method = 'GET',
    body = '',
  ) =>
    new Promise<{ status: number; text: string; cookies: string[] }>((done, fail) => {
      const asked = request({ host: '127.0.0.1', port, path, ca, headers, method, agent: false }, async answer => {
        let text = ''
        for await (const part of answer) text += String(part)
        done({ status: answer.statusCode!, text, cookies: answer.headers['set-cookie'] ?? [] })
      })
      asked.once('error', fail)
      asked.end(body)
    })
  const open = (path: string, headers: Record<string, string> = {}) =>
    fetch(`http://127.0.0.1:${trustPort}${path}`, { headers })
  beforeAll(async () => {
    ;[port, trustPort] = [(await freePort()) as number, (await freePort()) as number]
    server = (await startServer({
      ...{ root: process.cwd(), data, port, args: ['--empty', '--lan'] },
      env: { WEMBRIC_TRUST_PORT: String(trustPort) },
    })) as typeof server
    authority = await (
      await open('/wembric.crt')
    )
      .arrayBuffer()
      .then(bytes => new X509Certificate(Buffer.from(bytes)).toString())
  })
  afterAll(() => server.stop())

  it('opens over TLS to whoever trusts the authority, and to nobody else', async () => {
    expect(await secure('/api/health/ready', authority)).toMatchObject({ status: 200 })
    await expect(secure('/api/health/ready', undefined)).rejects.toThrow(/self-signed|unable to verify/)
    await expect(fetch(`http://127.0.0.1:${port}/`)).rejects.toThrow()
    // curl, a program of others
    const file = join(folder, 'phone.crt')
    writeFileSync(file, authority)
    const { status } = spawnSync('curl', ['-sf', '--cacert', file, '-o', '/dev/null', `https://127.0.0.1:${port}/`])
    expect(status === null || status === 0).toBe(true)
  })
  it('in plain HTTP has the page that explains, the certificate in two forms, and nothing else', async () => {
    for (const path of [
      '/api/health/live',
      '/api/session',
      '/index.html',
      '/_nuxt/',
      '/metrics',
      '/lan/trust',
      '/..%2fapi/bay',
    ])
      expect((await open(path)).status, path).toBe(404)
    expect((await fetch(`http://127.0.0.1:${trustPort}/`, { method: 'POST' })).status).toBe(404)
    const page = await open('/', {
      'user-agent': 'Mozilla/5.0 (iPhone; CPU iPhone OS 19_0)',
      'accept-language': 'es-MX',
    })
    const html = await page.text()
    expect(html).toMatch(/<details open><summary>iPhone y iPad/)
    expect(html).toContain('Ajustes de confianza de los certificados')
    expect(html.match(/<svg/g)!.length).toBeGreaterThanOrEqual(12)
    expect(page.headers.get('content-security-policy')).toMatch(/default-src 'none'.*script-src 'sha256-/)
    const android = await (await open('/', { 'user-agent': 'Mozilla/5.0 (Linux; Android 16)' })).text()
    expect(android).toMatch(/<details open><summary>Android/)
    const profile = await open('/wembric.mobileconfig')
    expect(profile.headers.get('content-type')).toBe('application/x-apple-aspen-config')
    const text = await profile.text()
    // plists are read by Python's own library
    const kind = execFileSync(
      'python3',
      [
        '-c',
        'import plistlib,sys; p=plistlib.loads(sys.stdin.buffer.read()); print(p["PayloadContent"][0]["PayloadType"], len(p["PayloadContent"][0]["PayloadContent"]))',
      ],
      { input: text, encoding: 'utf8' },
    )
    expect(kind.trim()).toBe(`com.apple.security.root ${new X509Certificate(authority).raw.length}`)
  })
  it('a start after the next keeps its authority: a phone that trusts goes on trusting', async () => {
    const before = readFileSync(join(data, 'tls/authority.crt'), 'utf8')
    expect(new X509Certificate(before).fingerprint256).toBe(new X509Certificate(authority).fingerprint256)
    expect(server.said()).toContain(':' + trustPort)
  })
  it('the session’s cookie goes over TLS alone', async () => {
    const headers = { 'content-type': 'application/json', 'origin': `https://127.0.0.1:${port}` }
    const body = JSON.stringify({
      ...{ shop: 'Thistle Works', timeZone: 'Etc/UTC', unit: 'mm' },
      lead: { name: 'Perrin', signIn: 'perrin', password: 'quillbrook' },
    })
    const answer = await secure('/api/setup', authority, headers, 'POST', body)
    expect(answer.status).toBe(200)
    expect(answer.cookies.find(c => c.startsWith('wembric='))).toMatch(/; Secure/)
  })
})

describe('devices that are signed in', () => {
  it('are called what they are, until a lead names them', () => {
    expect(deviceNameOf('Mozilla/5.0 (iPhone; CPU iPhone OS 19_0 like Mac OS X)')).toBe('iPhone')
    expect(deviceNameOf('Mozilla/5.0 (Linux; Android 16; K) Chrome/150.0 Mobile Safari')).toBe('Android phone')
    expect(deviceNameOf('Mozilla/5.0 (Linux; Android 16; K) Chrome/150.0 Safari')).toBe('Android tablet')
    expect(deviceNameOf('Mozilla/5.0 (X11; Linux x86_64)')).toBe('Linux computer')
    expect(deviceNameOf('<script>alert(1)</script>')).toBe('Device')
  })
  it('a lead names one and signs it out at once; a mechanic sees none, and nobody one of another shop', async () => {
    const ines = await new Client().signIn('ines')
    const tam = await new Client().signIn('tam')
    const devices = async () => (await ines.get<PhonesResponse>('/api/phones')).body.devices
    expect((await tam.get<PhonesResponse>('/api/phones')).body.devices).toEqual([])
    const [hers] = (await devices()).filter(d => d.person === 'Tam')
    expect((await ines.call('PUT', `/api/signed-in/${hers!.id}`, { name: '  ' })).status).toBe(422)
    expect((await ines.call('PUT', `/api/signed-in/${hers!.id}`, { name: 'Bench two' })).status).toBe(200)
    expect((await devices()).find(d => d.id === hers!.id)).toMatchObject({ name: 'Bench two', here: false })
    expect((await tam.call('DELETE', `/api/signed-in/${hers!.id}`)).status).toBe(403)
    expect((await ines.call('DELETE', `/api/signed-in/${hers!.id}`)).status).toBe(200)
    expect((await tam.get('/api/session')).status).toBe(401)
    expect((await ines.get('/api/session')).status).toBe(200)
    expect((await ines.call('DELETE', `/api/signed-in/${hers!.id}`)).status).toBe(404)
    expect((await ines.get<{ rows: { kind: string; what: string }[] }>('/api/log')).body.rows[0]).toMatchObject({
      ...{ kind: 'device-signed-out', what: 'Tam, Bench two' },
    })
  })
})
