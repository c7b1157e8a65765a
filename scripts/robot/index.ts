// The robot mechanic: many virtual engines through whole jobs by what the core says alone, and what became of them.
import { availableParallelism } from 'node:os'
import { fileURLToPath } from 'node:url'
import { parseArgs } from 'node:util'
import { Worker } from 'node:worker_threads'
import { drawEngine, PRACTICE_ENGINES, practiceEngineAbout } from '../../core/practice'
import {
  addRun,
  emptyTally,
  failureWords,
  isFailure,
  isTouchedUnasked,
  isWideFailure,
  type RobotRun,
  runRobot,
  type Tally,
} from '../../evaluation'
import { failuresTable, featureTable, kindTable, type Pass, summary, wideSummary } from '../../evaluation/report'
import { tellEnglish } from '../../words'

const { values: given } = parseArgs({
  options: {
    seed: { type: 'string' },
    trace: { type: 'boolean' },
    wrong: { type: 'string' },
    runs: { type: 'string' },
    minutes: { type: 'string' },
    kind: { type: 'string' },
    wide: { type: 'boolean' },
  },
})

function number(text: string | undefined, otherwise: number, name: string): number {
  const value = text === undefined ? otherwise : Number(text)
  if (!Number.isFinite(value) || value < 0) throw new Error(`--${name} wants a number, such as --${name} ${otherwise}.`)
  return value
}
const runs = number(given.runs, 10_000, 'runs')
const minutes = number(given.minutes, 5, 'minutes')
const firstSeed = number(given.seed, 1, 'seed')
if (given.kind && !PRACTICE_ENGINES.some(k => k.id === given.kind))
  throw new Error(`--kind is one of ${PRACTICE_ENGINES.map(k => k.id).join(', ')}.`)

/** One engine alone, as a story. */
function tellOne(seed: number, wrongShare: number): void {
  if (given.wide) {
    const run = runRobot(seed, { wrongShare, wide: true, trace: given.trace })
    console.log(`Seed ${seed} of the wider world: ${run.features.join('; ')}.`)
    for (const line of [...run.story, ...failureWords(run)]) console.log(line)
    return
  }
  const { kind, virtual } = drawEngine(seed, given.kind)
  console.log(
    `Seed ${seed}: ${kind.name}, ${tellEnglish(practiceEngineAbout(kind))}. Crank at ${virtual.crankDeg.toFixed(0)}°, gaps ${Object.entries(
      virtual.gapMm,
    )
      .map(([id, mm]) => `${id} ${mm.toFixed(3)}`)
      .join(
        ', ',
      )} mm${virtual.nature.held ? ', a decompressor' : ''}; the lock moves a gap by ${virtual.nature.creepMm.toFixed(3)}.`,
  )
  const run = runRobot(seed, { wrongShare, kindId: given.kind, trace: given.trace })
  for (const line of run.story) console.log(line)
  console.log(failureWords(run).join('\n') || 'Every valve in spec; nothing false was said.')
  console.log(`Open it by hand: /practice?seed=${seed}${given.kind ? `&kind=${given.kind}` : ''}`)
}

const BATCH = 20
/** Hands out seeds to workers until all are run or the time is up. */
async function pass(name: string, wrongShare: number, most: number, untilMs: number): Promise<Pass> {
  const all: Tally = emptyTally()
  const byKind = new Map<string, Tally>(PRACTICE_ENGINES.map(k => [k.id, emptyTally()]))
  const failures: RobotRun[] = []
  let next = firstSeed
  const started = Date.now()
  const take = (run: RobotRun) => {
    for (const name of given.wide ? run.features : [run.kind]) {
      if (!byKind.has(name)) byKind.set(name, emptyTally())
      addRun(byKind.get(name)!, run)
    }
    addRun(all, run)
    if (given.wide ? isWideFailure(run) || isTouchedUnasked(run) : isFailure(run) || run.falseSettled.length > 0)
      failures.push(run)
  }
  await Promise.all(
    Array.from(
      { length: Math.min(2, availableParallelism()) },
      () =>
        new Promise<void>((resolve, reject) => {
          const worker = new Worker(fileURLToPath(new URL('worker.mjs', import.meta.url)), {
            workerData: { wrongShare, kindId: given.kind, wide: given.wide },
          })
          const more = () => {
            const seeds = Array.from({ length: Math.min(BATCH, firstSeed + most - next) }, (_, i) => next + i)
            if (seeds.length === 0 || Date.now() > untilMs) {
              void worker.terminate().then(() => resolve())
              return
            }
            next += seeds.length
            worker.postMessage(seeds)
          }
          worker.on('message', (done: RobotRun[]) => {
            done.forEach(take)
            more()
          })
          worker.on('error', reject)
          more()
        }),
    ),
  )
  return {
    name,
    wrongShare,
    asked: most,
    seconds: (Date.now() - started) / 1000,
    all,
    byKind,
    failures: failures.sort((a, b) => a.seed - b.seed),
  }
}

if (given.seed !== undefined && given.runs === undefined) tellOne(firstSeed, number(given.wrong, 0, 'wrong'))
else {
  const end = Date.now() + minutes * 60_000
  const hands =
    given.wrong === undefined
      ? ([
          ['Honest hands', 0],
          ['3 % of what is said of the crank is wrong', 0.03],
        ] as const)
      : ([[`${Number(given.wrong) * 100} % wrong answers`, number(given.wrong, 0, 'wrong')]] as const)
  console.log(`Seeds ${firstSeed} to ${firstSeed + runs - 1}, ${minutes} minutes at most.\n`)
  for (const [name, wrongShare] of hands) {
    const done = await pass(name, wrongShare, runs, end)
    const parts = given.wide
      ? [wideSummary(done), featureTable(done), failuresTable(done)]
      : [summary(done), kindTable(done), failuresTable(done)]
    console.log(parts.join('\n\n'), '\n')
  }
}
