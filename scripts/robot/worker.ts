import { parentPort, workerData } from 'node:worker_threads'
import { runRobot } from '../../evaluation'

/** Runs the seeds that it is given, one after the other, and sends back each run. */
const { wrongShare, kindId, wide } = workerData as { wrongShare: number; kindId?: string; wide?: boolean }
parentPort!.on('message', (seeds: number[]) =>
  parentPort!.postMessage(seeds.map(seed => runRobot(seed, { wrongShare, kindId, wide }))),
)
