import { readdir, readFile, rm } from 'node:fs/promises'
import { join } from 'node:path'
import sameData from 'fast-deep-equal'
import { type Db, type Pool, transaction } from '../database/query'
import { notFound } from '../problem'
import { customerById, dropRemindersOf, machinesOfCustomer, updateCustomer } from '../repositories/customers'
import {
  forgetAnswers,
  forgetInLog,
  forgetPlates,
  jobsOfMachines,
  lettersTo,
  logLinesAbout,
  machinesEverOf,
  namesInJobsOf,
  rewriteTexts,
} from '../repositories/privacy'
import { lockShop, oldestShop } from '../repositories/shops'
import { t } from '../words'
import { boardChanged } from './board'
import { idleMachinesOf } from './customers'
import { isLetterOf, outbox } from './mail'
import type { WholeFile } from './whole-file'

/** All that is kept of an owner, as one open file. @throws Problem not-found */
export async function recordOf(db: Db, shopId: number, id: number, now: Date): Promise<WholeFile> {
  const customer = await customerById(db, shopId, id)
  if (!customer) throw notFound('owner')
  const machines = await machinesOfCustomer(db, shopId, id)
  const jobs = await jobsOfMachines(
    db,
    shopId,
    machines.map(m => m.id),
  )
  const record = {
    keptOf: { name: customer.name, contact: customer.contact, email: customer.email, language: customer.language },
    asOf: now.toISOString(),
    machines: machines.map(({ id: machineId, name, tag }) => ({
      name,
      tag,
      jobs: jobs
        .filter(j => j.machineId === machineId)
        .map(({ number, openedAt, closedAt, sheet }) => ({
          number,
          openedAt: openedAt.toISOString(),
          closedAt: closedAt?.toISOString() ?? null,
          sheet: sheet === null ? null : (JSON.parse(sheet) as unknown),
        })),
    })),
    letters: (await lettersTo(db, shopId, id)).map(l => ({ ...l, at: l.at.toISOString() })),
    log: (await logLinesAbout(db, shopId, customer.name)).map(l => ({ ...l, at: l.at.toISOString() })),
  }
  return { type: 'application/json', bytes: `${JSON.stringify(record, null, 2)}\n`, name: `owner-${id}.json` }
}

/** Shorter than this is no name that can be looked for in a text. */
const LEAST = 3
const literally = (text: string): string => text.replaceAll(/[.*+?^${}()|[\]\\]/g, String.raw`\$&`)

/**
 * Puts a word in the place of somebody's name and addresses, where they stand as words of their own.
 * @returns how to rewrite a text, plain or JSON; null where nothing of it is in it
 */
export function scrubber(given: string[], instead: string): (text: string, isJson: boolean) => string | null {
  const looked = given.map(s => s.trim()).filter(s => s.length >= LEAST)
  if (looked.length === 0) return () => null
  // the longest first: an address may have the name in it
  const any = looked.sort((a, b) => b.length - a.length).map(literally)
  const pattern = new RegExp(String.raw`(?<![\p{L}\p{N}])(?:${any.join('|')})(?![\p{L}\p{N}])`, 'gu')
  const plain = (text: string) => text.replaceAll(pattern, instead)
  // keys stay: only what was written is looked through
  const deep = (value: unknown): unknown => {
    if (typeof value === 'string') return plain(value)
    if (Array.isArray(value)) return value.map(deep)
    if (value === null || typeof value !== 'object') return value
    return Object.fromEntries(Object.entries(value).map(([key, v]) => [key, deep(v)]))
  }
  return (text, isJson) => {
    if (!isJson) return plain(text) === text ? null : plain(text)
    const was: unknown = JSON.parse(text)
    const is = deep(was)
    return sameData(was, is) ? null : JSON.stringify(is)
  }
}

/** A shop's letters that lie in the outbox folder, addressed to somebody: another shop may write to them too. */
async function dropLetters(db: Db, shopId: number, email: string): Promise<void> {
  if (!email) return
  const isFirst = (await oldestShop(db))?.id === shopId
  for (const name of await readdir(outbox()).catch(() => [] as string[])) {
    if (!isLetterOf(name, shopId, isFirst)) continue
    const path = join(outbox(), name)
    // a long header goes on in the next line (RFC 5322, 2.2.3)
    const text = (await readFile(path, 'utf8').catch(() => '')).replaceAll(/\r?\n[ \t]+/g, ' ')
    if (/^To:.*$/im.exec(text)?.[0].includes(email)) await rm(path, { force: true })
  }
}

/**
 * Erases an owner: name, addresses and letters go, everywhere they stand; the machines keep their history, as an erased
 * owner's.
 * @throws Problem not-found; open-job while something of theirs is worked on
 */
export async function eraseOwner(pool: Pool, shopId: number, id: number): Promise<void> {
  const email = await transaction(pool, async db => {
    await lockShop(db, shopId)
    const customer = await customerById(db, shopId, id)
    if (!customer) throw notFound('owner')
    await idleMachinesOf(db, shopId, customer)
    const instead = t('privacy.erased-owner')
    const machines = await machinesEverOf(db, shopId, id, customer.name)
    const names = [customer.name, ...(await namesInJobsOf(db, shopId, id))]
    await rewriteTexts(db, shopId, machines, scrubber([...names, customer.email, customer.contact], instead))
    await forgetPlates(db, shopId, id)
    await dropRemindersOf(db, shopId, id)
    for (const name of names.filter(n => n.length >= LEAST)) {
      await forgetInLog(db, shopId, name, instead)
      await forgetAnswers(db, shopId, name)
    }
    await updateCustomer(db, shopId, id, { name: instead, contact: '', email: '', language: null })
    return customer.email
  })
  await dropLetters(pool, shopId, email)
  await boardChanged(pool, shopId)
}
