import { describe, expect, it } from 'vitest'
import { engineOf, pinOf } from '../../tests/support/builders'
import { wholeJob } from '../../tests/support/whole-job'
import { foresee, type JobEvent, jobTools, nextThing, viewJob } from './index'

/** The belief as plain numbers, and all else as it is. */
const plain = (view: ReturnType<typeof viewJob>) => ({
  ...view.position,
  belief: [...view.position.belief.mass],
})

describe('an answer that was foreseen', () => {
  it('is known whichever key is pressed, and what stands on the screen stays known', async () => {
    const { log } = await wholeJob(engineOf(), { gapMm: { intake: 0.1, exhaust: 0.05 } })
    const tools = jobTools(pinOf())
    const memory = tools.memoryFor(null)
    for (const [i, event] of log.events.entries()) {
      const before = log.events.slice(0, i)
      const now = Date.parse(event.at)
      const shown = viewJob(tools, before, now)
      const answers = nextThing(shown).keys.flatMap(({ happening }) => (happening ? [happening] : []))
      for (const happening of answers) foresee(tools, before, happening, now)
      expect(viewJob(tools, before, now).position).toBe(shown.position)
      const known = [memory.snapshots.size, memory.surprises.size]
      for (const [k, happening] of answers.entries())
        viewJob(tools, [...before, { ...event, ...happening, id: `answer-${i}-${k}` } as JobEvent], now)
      expect([memory.snapshots.size, memory.surprises.size], event.type).toEqual(known)
    }
  })
  it('is judged as one that was not, and its belief is not worked out again', async () => {
    const { log } = await wholeJob(engineOf(), { gapMm: { intake: 0.1, exhaust: 0.05 } })
    const tools = jobTools(pinOf())
    const { snapshots, surprises } = tools.memoryFor(null)
    for (const [i, event] of log.events.entries()) {
      const before = log.events.slice(0, i)
      const now = Date.parse(event.at)
      // every key of the instruction, as it is while somebody turns the crank
      for (const { happening } of nextThing(viewJob(tools, before, now)).keys)
        if (happening) foresee(tools, before, happening, now)
      foresee(tools, before, event, now)
      const known = [snapshots.size, surprises.size]
      const found = viewJob(tools, [...before, event], now)
      expect([snapshots.size, surprises.size], event.type).toEqual(known)
      const anew = viewJob(jobTools(pinOf()), [...before, event], now)
      expect(plain(found)).toEqual(plain(anew))
      expect(nextThing(found)).toEqual(nextThing(anew))
    }
  })
  it('records nothing: the log and what it means stay as they are', async () => {
    const { log } = await wholeJob(engineOf(), { gapMm: { intake: 0.1, exhaust: 0.05 } })
    const tools = jobTools(pinOf())
    const events = log.events.slice(0, 14)
    const now = Date.parse(events.at(-1)!.at)
    const before = nextThing(viewJob(tools, events, now))
    for (const { happening } of before.keys) if (happening) foresee(tools, events, happening, now)
    expect(events).toEqual(log.events.slice(0, 14))
    expect(nextThing(viewJob(tools, events, now))).toEqual(before)
  })
})
