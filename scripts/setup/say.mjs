/** The last line of a start: whoever starts the server waits for it. */
export const STARTED = 'Ctrl-C stops it'

const isJson = process.env.WEMBRIC_LOG === 'json'
/** A line of the log as a service keeps it; 30 is the level of news, 50 that of failures. */
const line = (level, msg) => JSON.stringify({ level, time: new Date().toISOString(), service: 'wembric', msg })

/** A line of progress, and an end with words that say what to do. */
export const say = text => console.log(isJson ? line(30, text) : `wembric  ${text}`)

export class StopWithWords extends Error {}

/** Runs a script's main; an expected end prints its words only. */
export async function run(main) {
  try {
    await main()
  } catch (error) {
    // one without words was told already by who met it
    if (!(error instanceof StopWithWords)) console.error(error)
    else if (error.message)
      console.error(isJson ? line(50, error.message) : `\nwembric can’t continue: ${error.message}\n`)
    process.exit(1)
  }
}
