import { expect } from 'vitest'
import { type Happening, type JobEvent, type JobPin, jobTools, nextThing, viewJob } from '../../core/job'
import { VirtualHand } from '../../core/practice'
import { demoEngine } from '../../server/demo/demo-engine'
import { tellEnglish } from '../../words'
import type { Client } from '../support/server'
import type { Screen } from './browsers'

const plain = (text: string): string => text.replaceAll(/\s+/g, ' ').trim()

/** A hand at a virtual engine in front of a Bench in any browser: it reads what is asked, and presses what is true. */
export class Hand {
  private readonly said: JobEvent[] = []
  private seen = 0
  private constructor(
    private readonly screen: Screen,
    private readonly shop: Client,
    readonly jobId: number,
    private readonly pin: JobPin,
    readonly hand: VirtualHand,
  ) {}

  static async at(screen: Screen, shop: Client, jobId: number, gapMm: Record<string, number>): Promise<Hand> {
    const { pin } = (await shop.get<{ pin: JobPin }>(`/api/jobs/${jobId}?after=0`)).body
    return new Hand(screen, shop, jobId, pin, new VirtualHand(demoEngine(pin.spec.engine, gapMm, 0)))
  }

  /** What the shop has, and what was said since the line was cut. */
  private async next() {
    const { events } = (await this.shop.get<{ events: JobEvent[] }>(`/api/jobs/${this.jobId}?after=0`)).body
    this.seen = events.at(-1)?.seq ?? 0
    return nextThing(viewJob(jobTools(this.pin), [...events, ...this.said], Date.now()))
  }

  /** Gets the machine ready by answers sent straight to the shop: what is on test comes after it. */
  async ready(): Promise<void> {
    for (let next = await this.next(); next.step === 'ready'; next = await this.next())
      expect((await this.shop.answer(this.jobId, this.hand.answer(next))).status).toBe(200)
  }

  /** Answers the one next thing. @param offline whether the shop hears of it only later */
  async step(offline = false): Promise<string> {
    const next = await this.next()
    const asked = plain(tellEnglish(next.instruction))
    await expect
      .poll(() => this.screen.run(() => document.querySelector('[data-testid=instruction]')?.textContent ?? ''), {
        message: `${this.screen.name} asks what the core asks`,
      })
      .satisfies((shown: string) => plain(shown) === asked, asked)
    const happening: Happening = this.hand.answer(next)
    const key = next.keys.findIndex(k => JSON.stringify(k.happening) === JSON.stringify(happening)) + 1
    expect(key, asked).toBeGreaterThan(0)
    const selector = `[data-key="${key}"]`
    await expect
      .poll(() => this.screen.run(s => document.querySelector(s)?.getAttribute('aria-disabled'), selector))
      .toBe('false')
    await this.screen.click(selector)
    if (offline) {
      const at = new Date().toISOString()
      const seq = 1000 + this.said.length
      this.said.push({
        ...happening,
        id: `offline-${seq}`,
        seq,
        version: 1,
        personId: this.shop.personId,
        personName: '',
        deviceId: 'here',
        deviceSeq: seq,
        seenSeq: this.seen,
        at,
      } as JobEvent)
    } else await this.saved()
    return asked
  }

  /** Waits until the shop has every answer. */
  async saved(): Promise<void> {
    await expect
      .poll(() => this.screen.run(() => document.querySelector('[data-testid=saved]')?.textContent?.trim()))
      .toBe('Saved')
    this.said.length = 0
  }

  /** Goes on until something else is asked. */
  async until(done: (next: ReturnType<typeof nextThing>) => boolean): Promise<void> {
    for (let i = 0; i < 120; i++) {
      if (done(await this.next())) return
      await this.step()
    }
    throw new Error('It did not come to that.')
  }
}
