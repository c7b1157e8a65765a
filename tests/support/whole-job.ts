import { type JobView, jobTools, viewJob } from '../../core/job'
import type { Engine } from '../../core/engine'
import type { School } from '../../core/stops'
import { type Truth, VirtualHand, workThrough } from '../../server/demo/virtual-hand'
import { LogBook, pinOf } from './builders'

export const MORNING = Date.UTC(2026, 10, 25, 9)

/** A plain single by its own figures: stroke 57.8, rod 100, the default cam written out. */
export const truthOf = (changes: Partial<Truth> = {}): Truth => ({
  crankDeg: 500, strokeMm: 57.8, rodMm: 100, fires: { only: 0 }, marksDeg: [0, 346], camMarksDeg: [],
  valves: { intake: { cylinderId: 'only', role: 'intake' }, exhaust: { cylinderId: 'only', role: 'exhaust' } },
  closed: { intake: [-105, 320], exhaust: [-320, 105] }, opens: { intake: 350, exhaust: 135 }, held: null, heldOn: null,
  gapMm: { intake: 0.1, exhaust: 0.12 }, degPerMm: 480, creepMm: 0, ...changes,
})

/** The truth of any engine with the default cam: parts and marks from its data, gaps in spec but for those given. */
export const truthFor = (engine: Engine, changes: Partial<Truth> = {}): Truth => truthOf({
  fires: Object.fromEntries(engine.cylinders.map(c => [c.id, c.firingAngleDeg])),
  valves: Object.fromEntries(engine.valves.map(v => [v.id, { cylinderId: v.cylinderId, role: v.role }])),
  marksDeg: engine.marks.map(m => m.angleDeg), camMarksDeg: engine.camMarks.map(m => m.angleDeg),
  ...changes, gapMm: { ...Object.fromEntries(engine.valves.map(v => [v.id, v.role === 'intake' ? 0.1 : 0.12])), ...changes.gapMm },
})

/** Works a whole job on a virtual engine by what the core says, and nothing else. */
export async function wholeJob(engine: Engine, truth: Truth, school: School | null = null): Promise<{ view: JobView, log: LogBook, story: string[], truth: Truth }> {
  const tools = jobTools(pinOf(engine, { school }))
  const log = new LogBook()
  const look = () => viewJob(tools, log.events, MORNING)
  const story = await workThrough(new VirtualHand(truth), look, (h) => { log.add(h) })
  return { view: look(), log, story, truth }
}
