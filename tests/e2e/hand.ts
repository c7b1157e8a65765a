import { expect, type Page } from '@playwright/test'
import { v7 } from 'uuid'
import {
  type Happening,
  type JobEvent,
  type JobPin,
  type JobTools,
  jobTools,
  type JobView,
  type NextThing,
  nextThing,
  viewJob,
} from '../../core/job'
import { VirtualHand } from '../../core/practice'
import type { Tell } from '../../core/said'
import { demoEngine } from '../../server/demo/demo-engine'
import { tellEnglish } from '../../words'
import { read } from '../support/told'
import { instruction, newJob, pressKey, saved, SOON } from './bench'

/** What the core asks at a view of the job, and how it reads: weighed once, a job is hundreds of these. */
type Asked = ReturnType<typeof read>
interface Look {
  asked: Asked
  instruction: NextThing['instruction']
}
/** What a test tells of an engine beside crank and gaps: what its locks do, and the shims in it. */
interface Told {
  creepMm?: number
  shimMm?: Record<string, number>
}
const plain = (text: string): string => text.replaceAll(/\s+/g, ' ').trim()

/**
 * A hand at a virtual engine in front of the real Bench: it does what the screen says, and answers on the screen what
 * is true.
 */
export class BenchHand {
  readonly hand: VirtualHand
  /** The language that the screen is in. */
  tell: Tell = tellEnglish
  private readonly tools: JobTools
  private sent = 0
  private constructor(
    readonly page: Page,
    readonly jobId: number,
    pin: JobPin,
    crankDeg: number,
    gapMm: Record<string, number>,
    told: Told,
  ) {
    this.tools = jobTools(pin)
    const virtual = demoEngine(pin.spec.engine, { ...middle(pin), ...gapMm }, crankDeg)
    Object.assign(virtual.shimMm, told.shimMm)
    if (told.creepMm !== undefined) virtual.nature.creepMm = told.creepMm
    this.hand = new VirtualHand(virtual)
  }

  static async at(
    page: Page,
    jobId: number,
    crankDeg: number,
    gapMm: Record<string, number> = {},
    told: Told = {},
  ): Promise<BenchHand> {
    const { pin } = await fetched(page, jobId)
    return new BenchHand(page, jobId, pin, crankDeg, gapMm, told)
  }

  /** A new job on a demo model, ready and shown at its Find step, with the crank somewhere. */
  static async finding(
    page: Page,
    model: string,
    crankDeg: number,
    gapMm: Record<string, number> = {},
    { set = null, ...told }: Told & { set?: string | null } = {},
  ): Promise<BenchHand> {
    const jobId = await newJob(page, model, set)
    const hand = await BenchHand.at(page, jobId, crankDeg, gapMm, told)
    await hand.ready()
    await page.goto(`/jobs/${jobId}`)
    await expect(instruction(page)).toBeVisible()
    return hand
  }

  get engine() {
    return this.tools.pin.spec.engine
  }
  async view(): Promise<JobView> {
    return viewJob(this.tools, (await fetched(this.page, this.jobId)).events, Date.now())
  }

  private async look(): Promise<Look> {
    const next = nextThing(await this.view())
    return { asked: read(next), instruction: next.instruction }
  }

  /** Gets the machine ready by answers sent straight to the shop: what is on test comes after it. */
  async ready(): Promise<void> {
    for (;;) {
      const { asked } = await this.look()
      if (asked.step !== 'ready') return
      await this.send(this.hand.answer(asked))
    }
  }

  private async send(happening: Happening): Promise<void> {
    this.sent++
    const status = await this.page.evaluate(
      async ({ jobId, event }) => {
        const { person } = await (await fetch('/api/session')).json()
        return (
          await fetch(`/api/jobs/${jobId}/events`, {
            method: 'POST',
            headers: { 'content-type': 'application/json' },
            body: JSON.stringify({ ...event, personId: person.id }),
          })
        ).status
      },
      {
        jobId: this.jobId,
        event: {
          ...happening,
          id: v7(),
          version: 1,
          deviceId: 'hand',
          deviceSeq: this.sent,
          seenSeq: 0,
          at: new Date().toISOString(),
        },
      },
    )
    expect(status).toBe(200)
  }

  /** Does the one next thing, as looked at just now or as the shop has it: the screen must say what the core says. */
  async step(seen?: Look): Promise<Asked> {
    if (!seen) await saved(this.page)
    const { asked: next, instruction: asks } = seen ?? (await this.look())
    const said = plain(this.tell(asks))
    await expect
      .poll(async () => plain(await instruction(this.page).innerText()), {
        ...SOON,
        message: `the Bench says what the core says: ${said}`,
      })
      .toBe(said)
    const happening = this.hand.answer(next)
    if (happening.type === 'shim-read') {
      await this.readShim(happening.payload)
      return next
    }
    const index = next.keys.findIndex(k => JSON.stringify(k.happening) === JSON.stringify(happening))
    if (index < 0) throw new Error(`No key for ${JSON.stringify(happening)} at “${next.instruction}”`)
    await pressKey(this.page, index + 1)
    return next
  }

  /** The old shim is typed as it reads and measures. */
  private async readShim({
    engravedMm,
    measuredMm,
  }: {
    engravedMm: number | null
    measuredMm: number | null
  }): Promise<void> {
    await this.page.getByRole('button', { name: /^1?\s*Read it/ }).click()
    if (engravedMm !== null) await this.page.getByLabel('Engraved, mm').fill(String(engravedMm))
    if (measuredMm !== null) await this.page.getByLabel('By micrometer, mm').fill(String(measuredMm))
    await this.page.getByRole('button', { name: 'Record' }).click()
  }

  /** Goes on until the core asks for another step. Returns what was asked. */
  async until(done: (next: Asked) => boolean, most = 120): Promise<string[]> {
    const asked: string[] = []
    for (let i = 0; i < most; i++) {
      await saved(this.page)
      const look = await this.look()
      if (done(look.asked)) return asked
      asked.push((await this.step(look)).instruction)
    }
    throw new Error(`It did not come to that:\n${asked.join('\n')}`)
  }
}

async function fetched(page: Page, jobId: number): Promise<{ pin: JobPin; events: JobEvent[] }> {
  return page.evaluate(async id => (await fetch(`/api/jobs/${id}?after=0`)).json(), jobId)
}

/** Each gap in the middle of its spec. */
function middle(pin: JobPin): Record<string, number> {
  const of = (role: 'intake' | 'exhaust') => {
    const c = pin.spec.engine.clearance[role]
    return c.form === 'limits' ? (c.minMm + c.maxMm) / 2 : c.figureMm + 0.004
  }
  return Object.fromEntries(pin.spec.engine.valves.map(v => [v.id, of(v.role)]))
}
