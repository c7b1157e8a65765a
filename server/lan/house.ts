import { X509Certificate } from 'node:crypto'
import { z } from '../../core/zod'

const houseSchema = z.object({
  /** Where phones of the house open the application. */
  app: z.array(z.string()),
  /** Where they learn how to trust it; null where an owner's own certificate is used. */
  trust: z.string().nullable(),
  authority: z.string().nullable(),
})
export type House = z.output<typeof houseSchema>

/** How this server is open to phones of the house; null where it is open to its own computer alone. */
export function house(): House | null {
  const told = process.env.WEMBRIC_LAN
  return told ? houseSchema.parse(JSON.parse(told)) : null
}

/** The authority's certificate as bytes. */
export const authorityBytes = (pem: string): Buffer => new X509Certificate(pem).raw

/** An id that is always the same for the same bytes, in the shape of a UUID. */
const idOf = (hex: string): string =>
  [hex.slice(0, 8), hex.slice(8, 12), hex.slice(12, 16), hex.slice(16, 20), hex.slice(20, 32)].join('-').toUpperCase()
const escaped = (text: string): string => text.replaceAll('&', '&amp;').replaceAll('<', '&lt;')

/** The authority's certificate as the profile that iPhones and iPads install. */
export function authorityProfile(pem: string, words: { name: string; about: string }): string {
  const certificate = new X509Certificate(pem)
  const hex = certificate.fingerprint256.replaceAll(':', '').toLowerCase()
  const entry = (key: string, value: string) => `<key>${key}</key>${value}`
  const string = (text: string) => `<string>${escaped(text)}</string>`
  const payload = [
    entry('PayloadType', string('com.apple.security.root')),
    entry('PayloadVersion', '<integer>1</integer>'),
    entry('PayloadIdentifier', string(`wembric.authority.${hex.slice(0, 16)}`)),
    entry('PayloadUUID', string(idOf(hex))),
    entry('PayloadDisplayName', string(words.name)),
    entry('PayloadContent', `<data>${certificate.raw.toString('base64')}</data>`),
  ].join('')
  const profile = [
    entry('PayloadType', string('Configuration')),
    entry('PayloadVersion', '<integer>1</integer>'),
    entry('PayloadIdentifier', string(`wembric.profile.${hex.slice(0, 16)}`)),
    entry('PayloadUUID', string(idOf(hex.slice(32)))),
    entry('PayloadDisplayName', string(words.name)),
    entry('PayloadDescription', string(words.about)),
    entry('PayloadContent', `<array><dict>${payload}</dict></array>`),
  ].join('')
  return `<?xml version="1.0" encoding="UTF-8"?>
<!DOCTYPE plist PUBLIC "-//Apple//DTD PLIST 1.0//EN" "http://www.apple.com/DTDs/PropertyList-1.0.dtd">
<plist version="1.0"><dict>${profile}</dict></plist>
`
}
