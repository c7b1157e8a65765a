import { mkdir, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import { createTransport } from 'nodemailer'
import { v7 } from 'uuid'

export interface Letter {
  /** The shop that it is from. */
  shopId: number
  from: string
  to: { name: string; address: string }
  subject: string
  text: string
  at: Date
}

/** Letters come from nobody in particular: whoever forwards the outbox puts the shop's own address there. */
const SENDER = 'due@wembric.invalid'
/** Where letters lie until somebody, or a mail program, takes them on. */
export const outbox = (): string =>
  process.env.WEMBRIC_OUTBOX ?? join(process.env.WEMBRIC_ROOT ?? process.cwd(), '.data/outbox')

/**
 * The stand-in for a mail server: each letter becomes a file of RFC 5322 in the outbox folder. @returns the file's name
 */
export async function sendLetter({ shopId, from, to, subject, text, at }: Letter): Promise<string> {
  const { message } = await createTransport({ streamTransport: true, buffer: true, newline: 'windows' }).sendMail({
    from: { name: from, address: SENDER },
    to,
    subject,
    text,
    date: at,
  })
  const file = `${at.toISOString().slice(0, 10)}-shop${shopId}-${v7()}.eml`
  await mkdir(outbox(), { recursive: true, mode: 0o700 })
  await writeFile(join(outbox(), file), message as Buffer, { mode: 0o600 })
  return file
}

/** Whether a letter in the outbox is of a shop. Older ones do not say: they are of the first shop there was. */
export const isLetterOf = (file: string, shopId: number, isFirstShop: boolean): boolean => {
  const said = /^\d{4}-\d\d-\d\d-shop(\d+)-/.exec(file)?.[1]
  return said === undefined ? isFirstShop : Number(said) === shopId
}
