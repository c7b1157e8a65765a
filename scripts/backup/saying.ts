import { Problem } from '../../server/problem'

/** Runs an errand; what is refused is said in words, as the server says it. */
export async function saying(work: () => Promise<void>): Promise<void> {
  try {
    await work()
  } catch (error) {
    console.error(error instanceof Problem ? `\nwembric can’t continue: ${error.message}\n` : error)
    if (error instanceof Problem && error.cause) console.error(error.cause)
    process.exitCode = 1
  }
}
