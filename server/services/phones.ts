import { createHash } from 'node:crypto'
import { say } from '../../core/said'
import type { PhonesResponse } from '../../shared/phones'
import type { Db } from '../database/query'
import { authorityBytes, authorityProfile, type House, house } from '../lan/house'
import { notFound, Problem } from '../problem'
import { endSignedIn, nameSignedIn, signedInOfShop } from '../repositories/sessions'
import { t } from '../words'
import type { SignedIn } from './people'
import type { WholeFile } from './whole-file'

/** How the server is open to the house. @throws Problem not-found where it is not */
export function theHouse(): House {
  const open = house()
  if (!open) throw new Problem('not-found', say('refused.there-is-nothing-at-this'))
  return open
}
function theAuthority(): string {
  const { authority } = theHouse()
  if (!authority) throw new Problem('not-found', say('refused.there-is-nothing-at-this'))
  return authority
}
/** The authority's certificate, as a file that most devices install. */
export const authorityFile = async (): Promise<WholeFile> => ({
  type: 'application/x-x509-ca-cert',
  bytes: authorityBytes(theAuthority()),
  name: 'wembric.crt',
})
/** The same as iPhones take it. */
export const authorityAsProfile = async (): Promise<WholeFile> => ({
  type: 'application/x-apple-aspen-config',
  bytes: authorityProfile(theAuthority(), { name: t('trust.profile-name'), about: t('trust.profile-about') }),
  name: 'wembric.mobileconfig',
})

/** What a device is called until somebody names it, by how its browser names itself. */
export function deviceNameOf(agent: string): string {
  if (/iPad/.test(agent)) return 'iPad'
  if (/iPhone/.test(agent)) return 'iPhone'
  if (/Android/.test(agent)) return /Mobile/.test(agent) ? t('device.android-phone') : t('device.android-tablet')
  if (/Windows/.test(agent)) return t('device.windows')
  if (/Macintosh/.test(agent)) return 'Mac'
  if (/CrOS/.test(agent)) return 'Chromebook'
  return /Linux/.test(agent) ? t('device.linux') : t('device.other')
}

/** What says which session is meant: it is known to those who see the list, and opens nothing. */
const publicId = (id: string): string => createHash('sha256').update(`shown ${id}`).digest('hex').slice(0, 20)

/** How phones come here, and to a lead the devices on which somebody is signed in. */
export async function readPhones(db: Db, person: SignedIn, own: string | null): Promise<PhonesResponse> {
  const open = house()
  const rows = person.role === 'lead' ? await signedInOfShop(db, person.shopId) : []
  return {
    app: open?.app ?? null,
    trust: open?.trust ?? null,
    devices: rows.map(({ id, name, since, seenAt, ...row }) => ({
      ...row,
      id: publicId(id),
      // one of before devices had names
      name: name || t('device.other'),
      since: since.toISOString(),
      seenAt: seenAt?.toISOString() ?? null,
      here: id === own,
    })),
  }
}
async function meant(db: Db, shopId: number, shown: string) {
  const row = (await signedInOfShop(db, shopId)).find(r => publicId(r.id) === shown)
  if (!row) throw notFound('device')
  return row
}
/** Gives a device a name. @throws Problem not-found */
export async function nameDevice(db: Db, shopId: number, shown: string, name: string): Promise<void> {
  const { id } = await meant(db, shopId, shown)
  await nameSignedIn(db, shopId, id, name)
}
/** Signs a device out at once; what its outbox holds waits for the next sign-in. @returns whose it was */
export async function endDevice(db: Db, shopId: number, shown: string): Promise<string> {
  const { id, name, person } = await meant(db, shopId, shown)
  await endSignedIn(db, shopId, id)
  return `${person}, ${name}`
}
