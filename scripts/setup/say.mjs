/** The last line of a start: whoever starts the server waits for it. */
export const STARTED = 'Ctrl-C stops it'

/** A line of progress, and an end with words that say what to do. */
export const say = text => console.log(`wembric  ${text}`)

export class StopWithWords extends Error {}

/** Runs a script's main; an expected end prints its words only. */
export async function run(main) {
  try {
    await main()
  } catch (error) {
    console.error(error instanceof StopWithWords ? `\nwembric can’t continue: ${error.message}\n` : error)
    process.exit(1)
  }
}
