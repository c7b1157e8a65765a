import { type JobView, jobTools, viewJob } from '../../core/job'
import type { Engine } from '../../core/engine'
import { type Truth, VirtualHand, workThrough } from '../../server/demo/virtual-hand'
import { LogBook, pinOf } from './builders'

export const MORNING = Date.UTC(2026, 10, 25, 9)

/** A plain single by its own figures: stroke 57.8, rod 100, the default cam written out. */
export const truthOf = (changes: Partial<Truth> = {}): Truth => ({
  crankDeg: 500, strokeMm: 57.8, rodMm: 100, closed: { intake: [-105, 320], exhaust: [-320, 105] }, held: null,
  gapMm: { intake: 0.1, exhaust: 0.12 }, degPerMm: 480, creepMm: 0, ...changes,
})

/** Works a whole job on a virtual engine by what the core says, and nothing else. */
export async function wholeJob(engine: Engine, truth: Truth): Promise<{ view: JobView, log: LogBook, story: string[], truth: Truth }> {
  const tools = jobTools(pinOf(engine))
  const log = new LogBook()
  const look = () => viewJob(tools, log.events, MORNING)
  const story = await workThrough(new VirtualHand(truth), look, (h) => { log.add(h) })
  return { view: look(), log, story, truth }
}
