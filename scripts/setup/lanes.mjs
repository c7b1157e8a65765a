import { spawn } from 'node:child_process'
import { say, StopWithWords } from './say.mjs'

const seconds = from => Math.round((Date.now() - from) / 1000)

/** A command whose output is kept until it has ended, so that two that run at once do not mix. */
function quietly(name, args, { cwd, env, signal }) {
  return new Promise((resolve, reject) => {
    if (signal.aborted) return reject(new StopWithWords('not begun: another part has failed.'))
    const child = spawn(name, args, { cwd, env, stdio: ['ignore', 'pipe', 'pipe'] })
    const end = () => child.kill('SIGTERM')
    signal.addEventListener('abort', end, { once: true })
    let said = ''
    for (const stream of [child.stdout, child.stderr]) stream.on('data', chunk => (said += chunk))
    child.once('error', reject)
    child.once('exit', code => {
      signal.removeEventListener('abort', end)
      if (!signal.aborted) process.stdout.write(said)
      if (code === 0) resolve()
      else reject(new StopWithWords(`“${name} ${args.join(' ')}” ended with ${code}.`))
    })
  })
}

/**
 * Runs lanes of parts beside one another, each lane's parts in order; a lane that is through takes the last part that
 * another has not begun. The first part that fails ends all.
 * @param lanes lists of `{ name, work }`; work is given a function that runs a program and keeps its output together
 * @param ended aborts when whoever began this ends it: its programs end, and what they stood on is put away
 * @returns how many parts were run
 */
export async function runLanes(lanes, { cwd, env, ended }) {
  const stop = new AbortController()
  ended?.addEventListener('abort', () => stop.abort(), { once: true })
  let count = 0
  const runPart = async ({ name, work }) => {
    if (stop.signal.aborted) return
    const from = Date.now()
    say(`${name} …`)
    await work((program, args, more = {}) =>
      quietly(program, args, { cwd, env: { ...process.env, ...env, ...more }, signal: stop.signal }),
    )
    count++
    say(`${name} passed, ${seconds(from)} s`)
  }
  const waiting = lanes.map(parts => [...parts])
  const nextFor = own => own.shift() ?? waiting.find(parts => parts.length > 0)?.pop()
  const runLane = async own => {
    try {
      for (let part = nextFor(own); part; part = nextFor(own)) await runPart(part)
    } catch (error) {
      stop.abort()
      throw error
    }
  }
  const all = await Promise.allSettled(waiting.map(runLane))
  const failed = all.find(e => e.status === 'rejected')
  if (failed) throw failed.reason
  return count
}
