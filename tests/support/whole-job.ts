import type { Engine } from '../../core/engine'
import { jobTools, type JobView, viewJob } from '../../core/job'
import { type Setup, type VirtualEngine, virtualEngine, VirtualHand, workThrough } from '../../core/practice'
import type { School } from '../../core/stops'
import { storyLine } from '../../evaluation/story'
import { LogBook, pinOf } from './builders'

export const MORNING = Date.UTC(2026, 10, 25, 9)

/** What the whole-job tests tell of an engine: crank and gaps, where a decompressor works, what its locks do. */
export type Told = Pick<Setup, 'crankDeg' | 'gapMm' | 'held' | 'shimMm'> & { creepMm?: number }

/** A virtual engine with the crank at 500 and its gaps in spec, but for what is told. */
export const virtualFor = (engine: Engine, { creepMm = 0, gapMm, ...setup }: Told = {}): VirtualEngine =>
  virtualEngine(engine, {
    crankDeg: 500,
    ...setup,
    gapMm: { ...Object.fromEntries(engine.valves.map(v => [v.id, v.role === 'intake' ? 0.1 : 0.12])), ...gapMm },
    nature: { creepMm },
  })

/** Works a whole job on a virtual engine by what the core says, and nothing else. */
export async function wholeJob(
  engine: Engine,
  told: Told = {},
  school: School | null = null,
): Promise<{ view: JobView; log: LogBook; story: string[]; virtual: VirtualEngine }> {
  const tools = jobTools(pinOf(engine, { school }))
  const log = new LogBook()
  const look = () => viewJob(tools, log.events, Date.parse(log.events.at(-1)?.at ?? new Date(MORNING).toISOString()))
  const virtual = virtualFor(engine, told)
  const story = await workThrough(new VirtualHand(virtual), look, h => {
    log.add(h)
  })
  return { view: look(), log, story: story.map(storyLine), virtual }
}
