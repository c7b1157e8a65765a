import { expect, type Page } from '@playwright/test'
import { instruction, signIn } from './bench'

/** The key for what two rockers feel like. */
const keyOf = ([intake, exhaust]: boolean[]): number => (intake && exhaust ? 1 : intake ? 2 : exhaust ? 3 : 4)

/** Somebody at the practice screen: sees the window, hears the rockers, reads the pull, and answers by that alone. */
export class Apprentice {
  constructor(readonly page: Page) {}
  static async at(page: Page, query: string): Promise<Apprentice> {
    await signIn(page, 'tam')
    await page.goto(`/practice?${query}`)
    await expect(instruction(page)).toBeVisible()
    return new Apprentice(page)
  }

  asked = async () => (await instruction(this.page).innerText()).replaceAll(/\s+/g, ' ')
  take = (tool: string) => this.page.locator(`[data-tool=${tool}]`).click()
  private turn = (deg: number) => this.page.locator(`[data-crank-turn="${deg}"]`).click()
  private window = async () => (await this.page.getByTestId('window').getAttribute('aria-label')) ?? ''
  answer = (key: number) => this.page.locator(`[data-key="${key}"]`).click()

  /** Turns on, in big steps and then in small ones, until the line is at the pointer. */
  async turnToT(wholeFirst = 0): Promise<void> {
    await this.take('crank')
    for (let i = 0; i < wholeFirst; i++) await this.turn(180)
    for (let i = 0; i < 200 && !/\bT at the pointer/.test(await this.window()); i++)
      await this.turn(/\bT\b/.test(await this.window()) ? 2 : 10)
    expect(await this.window()).toMatch(/\bT at the pointer/)
  }

  /** Wiggles both rockers. @returns which of them click */
  async wiggle(): Promise<boolean[]> {
    const clicks: boolean[] = []
    for (const id of ['only-intake', 'only-exhaust']) {
      await this.page.locator(`[data-wiggle="${id}"]`).click()
      clicks.push((await this.page.locator(`[data-felt="${id}"]`).innerText()) === 'clicks')
    }
    return clicks
  }

  /** Slides the blade in hand. @returns the key of its feel, by the pull */
  async slide(): Promise<number> {
    await this.take('blade')
    await this.page.getByTestId('slide').click()
    await expect(this.page.locator('.blade-tool')).toHaveAttribute('data-slid', 'true')
    const n = Number.parseFloat(await this.page.getByTestId('pull').innerText())
    return n < 0.45 ? 1 : n < 3.5 ? 2 : n < 13.5 ? 3 : 4
  }

  private async screw(deg: number): Promise<void> {
    let rest = Math.abs(deg)
    for (const step of [90, 15, 5, 1])
      for (; rest >= step; rest -= step) await this.page.locator(`[data-turn="${Math.sign(deg) * step}"]`).click()
  }

  private async nut(to: string): Promise<void> {
    await this.take('screw')
    await this.page.locator(`[data-nut-to=${to}]`).click()
  }

  private async twoTurns(): Promise<void> {
    await this.take('crank')
    for (let i = 0; i < 4; i++) await this.turn(180)
  }

  /** Works screw and nut as asked. @returns whether a blade is to be slid in after it */
  private async atTheValve(text: string): Promise<boolean> {
    const screw = /^Turn the screw (\d+)° (counter)?clockwise/.exec(text)
    if (screw) await this.take('screw')
    if (screw) await this.screw(Number(screw[1]) * (screw[2] ? -1 : 1))
    else if (/nip the nut/.test(text)) await this.nut('nipped')
    else if (/^Torque the nut/.test(text)) await this.nut('locked')
    else return /^Try /.test(text)
    return true
  }

  /** Does the one next thing. @returns false once there is none */
  async step(): Promise<boolean> {
    const text = await this.asked()
    if (text === 'Finish and mark it') return false
    if (/^Turn (until|another)\b/.test(text)) await this.turnToT()
    else if (/^One (more )?full turn/.test(text)) await this.turnToT(1)
    else if (/^Turn it over two/.test(text)) await this.twoTurns()
    if (/^(Turn (until|another|it)|One (more )?full turn)\b/.test(text)) await this.answer(1)
    else if (/^Wiggle both/.test(text)) await this.answer(keyOf(await this.wiggle()))
    else await this.answer((await this.atTheValve(text)) ? await this.slide() : 1)
    return true
  }
}
