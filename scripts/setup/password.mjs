import { createInterface } from 'node:readline/promises'
import { Writable } from 'node:stream'
import { StopWithWords } from './say.mjs'

/** Asks for a password at the terminal; what is typed is not shown. @throws StopWithWords where nobody can be asked */
async function ask(question) {
  if (!process.stdin.isTTY)
    throw new StopWithWords('nobody can be asked for a password here. Set WEMBRIC_BACKUP_PASSWORD.')
  const dark = new Writable({ write: (_chunk, _encoding, done) => done() })
  const terminal = createInterface({ input: process.stdin, output: dark, terminal: true })
  process.stdout.write(`${question} `)
  try {
    return await terminal.question('')
  } finally {
    terminal.close()
    process.stdout.write('\n')
  }
}

/** The password of a backup: of the environment, or asked for. */
export const backupPassword = question => process.env.WEMBRIC_BACKUP_PASSWORD || ask(question)
