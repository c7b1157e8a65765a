import 'reflect-metadata'
import { randomBytes, webcrypto } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs'
import { isIP } from 'node:net'
import { join } from 'node:path'
import { AsnConvert } from '@peculiar/asn1-schema'
import { GeneralName, GeneralSubtree, GeneralSubtrees, NameConstraints } from '@peculiar/asn1-x509'
import * as x509 from '@peculiar/x509'
import { HOUSE_NETWORKS } from './addresses.mjs'

x509.cryptoProvider.set(webcrypto)

const DAY_MS = 86_400_000
const ALGORITHM = { name: 'ECDSA', namedCurve: 'P-256', hash: 'SHA-256' }
const AUTHORITY_DAYS = 3650
/** Phones take none of a server that holds for more than 398 days; one that is renewed by itself needs less. */
const SERVER_DAYS = 90
const RENEW_DAYS = 30
/** Clocks of phones differ from the server's. */
const SLACK_MS = DAY_MS

/** Kinds of name that are given inside a house alone (RFC 6762, RFC 8375, RFC 9476 and common practice). */
const HOUSE_NAMES = ['localhost', 'local', 'lan', 'home', 'internal', 'home.arpa']

/**
 * What the authority may vouch for, as an extension: names and addresses of a house. Whoever steals its key from the
 * shop's computer cannot stand in for a bank with it.
 * @param hostname this computer's own, which it may vouch for too
 */
function houseOnly(hostname) {
  const permitted = [
    ...[...HOUSE_NAMES, hostname].map(name => new GeneralSubtree({ base: new GeneralName({ dNSName: name }) })),
    ...HOUSE_NETWORKS.map(network => new GeneralSubtree({ base: new GeneralName({ iPAddress: network }) })),
  ]
  const constraints = new NameConstraints({ permittedSubtrees: new GeneralSubtrees(permitted) })
  return new x509.Extension('2.5.29.30', true, AsnConvert.serialize(constraints))
}

const pemOfKey = async key => x509.PemConverter.encode(await webcrypto.subtle.exportKey('pkcs8', key), 'PRIVATE KEY')
const keyOfPem = pem =>
  webcrypto.subtle.importKey('pkcs8', x509.PemConverter.decodeFirst(pem), ALGORITHM, true, ['sign'])
/** A positive number of sixteen bytes. */
const serial = () => `7${randomBytes(16).toString('hex').slice(1)}`

function keep(file, text) {
  writeFileSync(`${file}.making`, text, { mode: 0o600 })
  renameSync(`${file}.making`, file)
}

/**
 * The certificate authority of this shop: made once, kept in the data folder, its key readable by its owner alone.
 * @returns its certificate as PEM, the parsed one, and its key
 */
export async function authorityOf(folder, hostname, now = new Date()) {
  mkdirSync(folder, { recursive: true, mode: 0o700 })
  const [certificateFile, keyFile] = [join(folder, 'authority.crt'), join(folder, 'authority.key')]
  if (!existsSync(certificateFile) || !existsSync(keyFile)) {
    const keys = await webcrypto.subtle.generateKey(ALGORITHM, true, ['sign', 'verify'])
    const made = await x509.X509CertificateGenerator.createSelfSigned({
      serialNumber: serial(),
      name: `CN=Wembric on ${hostname}, O=Wembric`,
      notBefore: new Date(now.getTime() - SLACK_MS),
      notAfter: new Date(now.getTime() + AUTHORITY_DAYS * DAY_MS),
      keys,
      signingAlgorithm: ALGORITHM,
      extensions: [
        new x509.BasicConstraintsExtension(true, 0, true),
        new x509.KeyUsagesExtension(x509.KeyUsageFlags.keyCertSign | x509.KeyUsageFlags.cRLSign, true),
        houseOnly(hostname),
        await x509.SubjectKeyIdentifierExtension.create(keys.publicKey),
      ],
    })
    keep(keyFile, await pemOfKey(keys.privateKey))
    keep(certificateFile, made.toString('pem'))
  }
  const pem = readFileSync(certificateFile, 'utf8')
  return { pem, certificate: new x509.X509Certificate(pem), key: await keyOfPem(readFileSync(keyFile, 'utf8')) }
}

const namesOf = certificate =>
  certificate.getExtension(x509.SubjectAlternativeNameExtension)?.names.items.map(n => n.value) ?? []

/** Whether a server's certificate still holds long enough, is valid already, and is for all of these names. */
function isFit(certificate, authority, names, now) {
  const has = new Set(namesOf(certificate))
  return (
    certificate.notBefore <= now &&
    certificate.notAfter.getTime() - now.getTime() > RENEW_DAYS * DAY_MS &&
    certificate.issuer === authority.certificate.subject &&
    names.every(name => has.has(name))
  )
}

/**
 * The server's certificate for these names and addresses: the one that is kept where it is fit, else a new one.
 * @returns key and certificate as PEM, and whether it is new
 */
export async function serverCertificate(folder, authority, names, now = new Date()) {
  const [certificateFile, keyFile] = [join(folder, 'server.crt'), join(folder, 'server.key')]
  if (existsSync(certificateFile) && existsSync(keyFile)) {
    const cert = readFileSync(certificateFile, 'utf8')
    if (isFit(new x509.X509Certificate(cert), authority, names, now))
      return { cert, key: readFileSync(keyFile, 'utf8'), isNew: false }
  }
  const keys = await webcrypto.subtle.generateKey(ALGORITHM, true, ['sign', 'verify'])
  const made = await x509.X509CertificateGenerator.create({
    serialNumber: serial(),
    subject: 'CN=Wembric',
    issuer: authority.certificate.subject,
    notBefore: new Date(now.getTime() - SLACK_MS),
    notAfter: new Date(now.getTime() + SERVER_DAYS * DAY_MS),
    publicKey: keys.publicKey,
    signingKey: authority.key,
    signingAlgorithm: ALGORITHM,
    extensions: [
      new x509.BasicConstraintsExtension(false, undefined, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.digitalSignature, true),
      new x509.ExtendedKeyUsageExtension([x509.ExtendedKeyUsage.serverAuth]),
      new x509.SubjectAlternativeNameExtension(names.map(value => ({ type: isIP(value) ? 'ip' : 'dns', value }))),
      await x509.SubjectKeyIdentifierExtension.create(keys.publicKey),
      await x509.AuthorityKeyIdentifierExtension.create(authority.certificate),
    ],
  })
  const [cert, key] = [made.toString('pem'), await pemOfKey(keys.privateKey)]
  keep(keyFile, key)
  keep(certificateFile, cert)
  return { cert, key, isNew: true }
}
