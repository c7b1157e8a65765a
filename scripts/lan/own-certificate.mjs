import { createPrivateKey, X509Certificate } from 'node:crypto'
import { readFileSync } from 'node:fs'
import { isIP } from 'node:net'
import { StopWithWords } from '../setup/say.mjs'

function read(file, name) {
  try {
    return readFileSync(file, 'utf8')
  } catch (error) {
    throw new StopWithWords(`the file of ${name}, ${file}, cannot be read (${error.code}). Check the path.`)
  }
}

/**
 * A certificate of the owner's own, where the environment names one, checked before it is used.
 * @param names what this computer is called by
 * @returns key and certificate, and the names of those that it is for; null where none is given
 * @throws StopWithWords for a file that is none, a key of another, one that is over, or for another name
 */
export function ownCertificate(env, names, now = new Date()) {
  const { WEMBRIC_TLS_CERT: certFile, WEMBRIC_TLS_KEY: keyFile } = env
  if (!certFile && !keyFile) return null
  if (!certFile || !keyFile)
    throw new StopWithWords('a certificate needs its key. Set both WEMBRIC_TLS_CERT and WEMBRIC_TLS_KEY, or neither.')
  const [cert, key] = [read(certFile, 'WEMBRIC_TLS_CERT'), read(keyFile, 'WEMBRIC_TLS_KEY')]
  let parsed
  try {
    parsed = new X509Certificate(cert)
    if (!parsed.checkPrivateKey(createPrivateKey(key)))
      throw new StopWithWords(`${keyFile} is not the key of ${certFile}.`)
  } catch (error) {
    if (error instanceof StopWithWords) throw error
    throw new StopWithWords(`${certFile} and ${keyFile} are not a certificate and its key in PEM. Check the files.`)
  }
  if (new Date(parsed.validTo) < now)
    throw new StopWithWords(`the certificate ${certFile} ended on ${parsed.validTo}. Renew it, or start without it.`)
  if (new Date(parsed.validFrom) > now)
    throw new StopWithWords(
      `the certificate ${certFile} begins on ${parsed.validFrom}, and this computer’s clock says ${now.toUTCString()}. Check the clock.`,
    )
  const wanted = env.WEMBRIC_NAME ? [env.WEMBRIC_NAME] : names
  const fits = wanted.filter(name => (isIP(name) ? parsed.checkIP(name) : parsed.checkHost(name)))
  if (fits.length === 0)
    throw new StopWithWords(
      `the certificate ${certFile} is for another name (${parsed.subjectAltName ?? parsed.subject}). This computer is called ${wanted.join(', ')}. Say which name phones use: WEMBRIC_NAME=shop.example.net`,
    )
  return { cert, key, names: fits }
}
