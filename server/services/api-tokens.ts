import { createHash, randomBytes } from 'node:crypto'
import { say } from '../../core/said'
import type { ModelRow, PublishedModel } from '../../shared/spec-book'
import type { ApiTokenRow } from '../../shared/tokens'
import type { Db } from '../database/query'
import { notFound, Problem } from '../problem'
import { insertToken, markUsed, revokeToken, shopOfToken, tokensOfShop } from '../repositories/api-tokens'
import { modelByKey, modelsAfter } from '../repositories/models'
import type { SignedIn } from './people'
import { asBookModel } from './spec-export'

const PREFIX = 'wembric_'
const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex')

export const listTokens = (db: Db, person: SignedIn): Promise<ApiTokenRow[]> => tokensOfShop(db, person.shopId)
/** Makes a token. It is told this once; only its hash is kept. */
export async function makeToken(db: Db, lead: SignedIn, name: string): Promise<{ id: number; token: string }> {
  const token = PREFIX + randomBytes(32).toString('base64url')
  return { id: await insertToken(db, lead.shopId, { name, hash: hashOf(token), madeBy: lead.id }), token }
}
export async function endToken(db: Db, lead: SignedIn, id: number): Promise<void> {
  if (!(await revokeToken(db, lead.shopId, id))) throw notFound('token')
}
/** The shop whose book a token opens. @throws Problem 401 */
export async function shopForToken(db: Db, header: string | undefined): Promise<number> {
  const token = /^Bearer\s+(\S+)$/i.exec(header ?? '')?.[1]
  const found = token?.startsWith(PREFIX) ? await shopOfToken(db, hashOf(token)) : null
  if (!found) throw new Problem('wrong-token', say('refused.send-a-token-that-holds'))
  await markUsed(db, found.shopId, found.id)
  return found.shopId
}

const published = (row: ModelRow): PublishedModel => ({
  ...asBookModel(row),
  revision: { number: row.revision, status: row.status, source: row.source, sourceDate: row.sourceDate },
})
const PAGE = 50
/** Models in the order of maker and model, a page at a time; `next` is the key to go on after. */
export async function publishedModels(
  db: Db,
  shopId: number,
  after: string | undefined,
): Promise<{ models: PublishedModel[]; next: string | null }> {
  const last = after === undefined ? null : await modelByKey(db, shopId, after)
  if (after !== undefined && !last) throw notFound('model')
  const rows = await modelsAfter(db, shopId, last, PAGE + 1)
  return { models: rows.slice(0, PAGE).map(published), next: rows.length > PAGE ? rows[PAGE - 1]!.key : null }
}
export async function publishedModel(db: Db, shopId: number, key: string): Promise<PublishedModel> {
  const row = await modelByKey(db, shopId, key)
  if (!row) throw notFound('model')
  return published(row)
}
