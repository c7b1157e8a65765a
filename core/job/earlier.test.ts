import { createHash } from 'node:crypto'
import { readFileSync } from 'node:fs'
import { gunzipSync } from 'node:zlib'
import { describe, expect, it } from 'vitest'
import { nextThing, sheet } from '../../tests/support/told'
import { type JobEvent, jobTools, type Sheet, upcastPin, viewJob } from './index'

interface Kept {
  id: number
  pin: unknown
  events: JobEvent[]
  /** As it was signed. */
  sheet: Sheet | null
}
const read = (name: string) => readFileSync(new URL(`../../tests/support/earlier/${name}`, import.meta.url))
/** The demo shop’s jobs as version 0.6.0 wrote them: pins, logs and signed sheets. */
const { jobs } = JSON.parse(gunzipSync(read('demo-0.6.json.gz')).toString()) as { jobs: Kept[] }

describe('what version 0.6 stored', () => {
  it.each(jobs.map(j => [j.id, j] as const))('job %d folds at every answer, and says what is next', (_, job) => {
    const tools = jobTools(upcastPin(job.pin))
    const said = job.events.map((event, i) => {
      const view = viewJob(tools, job.events.slice(0, i + 1), Date.parse(event.at))
      const { instruction, keys } = nextThing(view)
      expect(keys.length, instruction).toBeGreaterThan(0)
      return [instruction, view.state.status, sheet(view).valves.map(v => [v.asFound?.words, v.asLeft?.words])]
    })
    // what changes here on purpose is looked at, and written down anew
    expect(createHash('sha256').update(JSON.stringify(said)).digest('hex')).toMatchSnapshot()
  })
  it('what was signed as proved is proved by the same readings today', () => {
    for (const job of jobs) {
      if (!job.sheet) continue
      const at = Date.parse(job.events.at(-1)!.at)
      const now = sheet(viewJob(jobTools(upcastPin(job.pin)), job.events, at))
      expect(now.valves.map(v => [v.asLeft?.loMm, v.asLeft?.hiMm])).toEqual(
        job.sheet.valves.map(v => [v.asLeft?.loMm, v.asLeft?.hiMm]),
      )
      expect(now.valves.map(v => v.asLeft?.verdict)).toEqual(job.sheet.valves.map(v => v.asLeft?.verdict))
      expect([now.closed?.by, now.run]).toEqual([job.sheet.closed?.by, job.sheet.run])
      // 0.6 wrote “14 060 km or 24 Sept 2026”: a signed sheet keeps that, and the figures are the same
      const figures = (words: string) =>
        words
          .replace(/(?<=\d)[ ,](?=\d{3}\b)/g, '')
          .match(/\d+/g)
          ?.sort()
      expect(figures(now.nextDue)).toEqual(figures(job.sheet.nextDue))
    }
  })
})
