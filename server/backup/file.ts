import { createReadStream, createWriteStream } from 'node:fs'
import { open, rename, rm } from 'node:fs/promises'
import { PassThrough, Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { Decrypter, Encrypter } from 'age-encryption'
import { extract, type Pack, pack } from 'tar-stream'
import { say } from '../../core/said'
import { z } from '../../core/zod'
import { isDiskFull } from '../database/errors'
import { Problem } from '../problem'

/**
 * A backup is a tar file: `about.json` first, then `database/…` (the statements of a dump, in pieces) and `letters/…`,
 * and `end.json` at last. With a password, that is inside an age file (age-encryption.org/v1, by passphrase).
 */
const SUMS = ['crc32', 'sha256'] as const
const aboutSchema = z.object({
  wembricBackup: z.literal(1),
  version: z.string(),
  /** The last migration of the tables in it. */
  migration: z.number().int().nonnegative(),
  madeAt: z.iso.datetime(),
  /** By what a spoilt disk is found. Those of before 0.7.1 do not say. */
  sum: z.enum(SUMS).default('sha256'),
})
export type About = z.output<typeof aboutSchema>
const counted = z.object({ pieces: z.number().int(), bytes: z.number().int() })
const endSchema = z.union([
  counted.extend({ sum: z.string() }),
  // of before 0.7.1
  counted.extend({ sha256: z.string() }).transform(({ sha256: sum, ...end }) => ({ ...end, sum })),
])
/** What was put into it, compared when it is read: so many pieces and bytes of statements, and their sum. */
export type End = z.output<typeof endSchema>

export interface Entry {
  name: string
  bytes: Buffer
}

const AGE = 'age-encryption.org/v1'
const ABOUT = 'about.json'
const END = 'end.json'

const put = (tar: Pack, { name, bytes }: Entry): Promise<void> =>
  new Promise((done, fail) => {
    const entry = tar.entry({ name, size: bytes.length, mode: 0o600 }, error => (error ? fail(error) : done()))
    entry.end(bytes)
  })
const json = (name: string, what: object): Entry => ({ name, bytes: Buffer.from(`${JSON.stringify(what, null, 2)}\n`) })

async function sealed(tar: Readable, password: string): Promise<Readable> {
  const encrypter = new Encrypter()
  encrypter.setPassphrase(password)
  // the package's stream is of another make than the runtime's, which alone becomes one of the web
  const plain = new PassThrough()
  pipeline(tar, plain).catch((error: Error) => plain.destroy(error))
  const whole = await encrypter.encrypt(Readable.toWeb(plain) as unknown as ReadableStream<Uint8Array>)
  return Readable.fromWeb(whole as unknown as Parameters<typeof Readable.fromWeb>[0])
}

/**
 * Writes a backup under another name first; only one that is whole has its own.
 * @param end what was put into it, asked when all entries are through
 * @throws Problem disk-full; then nothing is left behind
 */
export async function writeBackup(
  path: string,
  about: About,
  entries: AsyncIterable<Entry>,
  end: () => End,
  password: string | null,
): Promise<void> {
  const part = `${path}.part`
  const tar = pack()
  const fill = async () => {
    await put(tar, json(ABOUT, about))
    for await (const entry of entries) await put(tar, entry)
    await put(tar, json(END, end()))
    tar.finalize()
  }
  try {
    const source = tar as unknown as Readable
    const writing = (async () =>
      pipeline(password === null ? source : await sealed(source, password), createWriteStream(part, { mode: 0o600 })))()
    // what fails to be filled in ends the writing too
    const filling = fill().catch((error: Error) => {
      tar.destroy(error)
      throw error
    })
    const [wrote, filled] = await Promise.allSettled([writing, filling])
    if (wrote.status === 'rejected' && isDiskFull(wrote.reason)) throw wrote.reason
    if (filled.status === 'rejected') throw filled.reason
    if (wrote.status === 'rejected') throw wrote.reason
    const written = await open(part, 'r+')
    await written.sync()
    await written.close()
    await rename(part, path)
  } catch (error) {
    await rm(part, { force: true })
    if (isDiskFull(error)) throw new Problem('disk-full', say('backup.disk-full', { path }))
    throw error
  }
}

const notOne = (path: string) => new Problem('backup-broken', say('backup.not-one', { path }))
const broken = (path: string) => new Problem('backup-broken', say('backup.broken', { path }))

async function unsealed(path: string, password: string | null): Promise<Readable> {
  let head: Buffer
  try {
    const file = await open(path, 'r')
    head = await file
      .read(Buffer.alloc(AGE.length), 0, AGE.length, 0)
      .then(read => read.buffer)
      .finally(() => file.close())
  } catch (error) {
    const code = (error as { code?: string }).code
    throw new Problem('backup-broken', say(code === 'ENOENT' ? 'backup.no-file' : 'backup.not-one', { path }))
  }
  const bytes = createReadStream(path)
  if (head.toString('latin1') !== AGE) return bytes
  if (password === null) throw new Problem('backup-password', say('backup.password-missing', { path }))
  const decrypter = new Decrypter()
  decrypter.addPassphrase(password)
  try {
    const whole = await decrypter.decrypt(Readable.toWeb(bytes) as unknown as ReadableStream<Uint8Array>)
    return Readable.fromWeb(whole as unknown as Parameters<typeof Readable.fromWeb>[0])
  } catch (error) {
    if (/no identity matched/.test((error as Error).message))
      throw new Problem('backup-password', say('backup.password-wrong', { path }))
    throw broken(path)
  }
}

const parsed = <T>(schema: z.ZodType<T>, bytes: Buffer): T | null => {
  try {
    return schema.parse(JSON.parse(bytes.toString('utf8')))
  } catch {
    return null
  }
}

/** A backup that is open to be read: what it says of itself, then what is in it. */
export interface OpenBackup {
  about: About
  /** Each entry in order; returns what was put in, once all was read. */
  entries: AsyncGenerator<Entry, End>
}

/**
 * Opens a backup.
 * @throws Problem backup-broken, backup-password; its entries throw backup-broken where it breaks off
 */
export async function openBackup(path: string, password: string | null): Promise<OpenBackup> {
  const tar = extract()
  const source = await unsealed(path, password)
  pipeline(source, tar as unknown as NodeJS.WritableStream).catch((error: Error) => tar.destroy(error))
  async function* read(): AsyncGenerator<Entry> {
    for await (const entry of tar) {
      const parts: Buffer[] = []
      for await (const part of entry) parts.push(part as Buffer)
      yield { name: entry.header.name, bytes: Buffer.concat(parts) }
    }
  }
  const all = read()
  const first = await all.next().catch(() => null)
  const about = first && !first.done && first.value.name === ABOUT ? parsed(aboutSchema, first.value.bytes) : null
  if (!about) throw notOne(path)
  async function* entries(): AsyncGenerator<Entry, End> {
    try {
      for await (const entry of all) {
        if (entry.name !== END) {
          yield entry
          continue
        }
        const end = parsed(endSchema, entry.bytes)
        if (end) return end
      }
    } catch (error) {
      if (error instanceof Problem) throw error
    }
    throw broken(path)
  }
  return { about, entries: entries() }
}
