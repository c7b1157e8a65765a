/** So many lines in so many ms are printed; the rest is counted. A fault that repeats must not fill disk and memory. */
const MOST_LINES = 60
const SPAN_MS = 10_000

/**
 * Keeps a server alive when whoever reads its output goes away (a closed terminal, a dead log collector): a stream that
 * cannot be written is no reason to end, and none to log about.
 * @param streams those to guard; the process's own by default
 */
function guardOutput(streams = [process.stdout, process.stderr]) {
  for (const stream of streams) stream.on('error', () => {})
}

/** Bounds how much is logged. @param now the clock, in ms */
export function boundedLog(write, now = Date.now) {
  let from = now()
  let count = 0
  return (...words) => {
    if (now() - from >= SPAN_MS) {
      if (count > MOST_LINES) write(`(${count - MOST_LINES} more lines in ten seconds were left out)`)
      from = now()
      count = 0
    }
    if (++count <= MOST_LINES) write(...words)
  }
}

/** Guards the streams and bounds what is written to the console. */
export function guardConsole() {
  guardOutput()
  for (const kind of ['log', 'warn', 'error']) console[kind] = boundedLog(console[kind].bind(console))
}
