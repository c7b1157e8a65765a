import { type ChildProcess, spawn } from 'node:child_process'
import puppeteer from 'puppeteer-core'
import { Builder, By, Capabilities, Key, Origin, type WebDriver } from 'selenium-webdriver'
// @ts-expect-error plain scripts
import { freePort } from '../../scripts/setup/ports.mjs'

interface Place {
  x: number
  y: number
}
/** What a test does with a browser, whichever it is. */
export interface Screen {
  name: string
  /** A window so wide and high at least: one engine's windows cannot be as narrow as a phone. */
  size: (width: number, height: number) => Promise<void>
  open: (address: string) => Promise<void>
  reload: () => Promise<void>
  /** Runs a function of its own in the page. @returns what it gives, awaited */
  run: <T, A = undefined>(work: (given: A) => T | Promise<T>, given?: A) => Promise<T>
  click: (selector: string) => Promise<void>
  type: (selector: string, text: string) => Promise<void>
  key: (key: string) => Promise<void>
  drag: (...way: Place[]) => Promise<void>
  /** As it would go to paper. @returns the PDF, or null where this engine prints none by itself */
  print: () => Promise<Uint8Array | null>
  close: () => Promise<void>
}

/** Debian's Firefox, spoken to by WebDriver BiDi. */
export async function firefox(): Promise<Screen> {
  const browser = await puppeteer.launch({ browser: 'firefox', executablePath: '/usr/bin/firefox-esr', headless: true })
  const page = await browser.newPage()
  return {
    name: 'Firefox',
    size: (width, height) => page.setViewport({ width, height }),
    open: async address => void (await page.goto(address)),
    reload: async () => void (await page.reload()),
    run: (work, given) => page.evaluate(work as never, given as never) as never,
    click: selector => page.locator(selector).click(),
    type: (selector, text) => page.locator(selector).fill(text),
    key: key => page.keyboard.press(key as never),
    drag: async (from, ...on) => {
      await page.mouse.move(from!.x, from!.y)
      await page.mouse.down()
      for (const to of on) await page.mouse.move(to.x, to.y, { steps: 5 })
      await page.mouse.up()
    },
    print: () => page.pdf({ format: 'A4' }),
    close: () => browser.close(),
  }
}

const MINI_BROWSER = '/usr/lib/x86_64-linux-gnu/webkit2gtk-4.1/MiniBrowser'
const until = async (what: () => Promise<boolean>, ms: number, words: string): Promise<void> => {
  for (const end = Date.now() + ms; Date.now() < end; await new Promise(done => setTimeout(done, 100)))
    if (await what().catch(() => false)) return
  throw new Error(`${words} within ${ms} ms`)
}

/** Debian's WebKit in its small browser, on a screen that nobody sees, spoken to by WebDriver. */
export async function webkit(): Promise<Screen> {
  const screen: ChildProcess = spawn('Xvfb', ['-displayfd', '3', '-screen', '0', '1500x1100x24', '-nolisten', 'tcp'], {
    stdio: ['ignore', 'ignore', 'ignore', 'pipe'],
  })
  const display = await new Promise<string>((resolve, reject) => {
    screen.stdio[3]!.once('data', (said: Buffer) => resolve(`:${said.toString().trim()}`))
    screen.once('exit', () => reject(new Error('Xvfb did not start')))
  })
  const port = (await freePort()) as number
  const service = spawn('WebKitWebDriver', ['--host=127.0.0.1', `--port=${port}`], {
    stdio: 'ignore',
    env: {
      ...process.env,
      DISPLAY: display,
      GDK_BACKEND: 'x11',
      NO_AT_BRIDGE: '1',
      GSETTINGS_BACKEND: 'memory',
      WEBKIT_DISABLE_COMPOSITING_MODE: '1',
      // as root there is no other way
      WEBKIT_DISABLE_SANDBOX_THIS_IS_DANGEROUS: '1',
    },
  })
  const address = `http://127.0.0.1:${port}`
  await until(async () => (await fetch(`${address}/status`)).ok, 15_000, 'WebKitWebDriver did not answer')
  const capabilities = new Capabilities({
    'browserName': 'MiniBrowser',
    'webkitgtk:browserOptions': { binary: MINI_BROWSER, args: ['--automation'] },
  })
  const driver: WebDriver = await new Builder().usingServer(address).withCapabilities(capabilities).build()
  await driver.manage().setTimeouts({ script: 20_000, pageLoad: 30_000 })
  const found = async (selector: string) => {
    await until(async () => (await driver.findElements(By.css(selector))).length > 0, 15_000, `no ${selector}`)
    return driver.findElement(By.css(selector))
  }
  return {
    name: 'WebKit',
    size: async (width, height) => {
      const [outer, inner] = [await driver.manage().window().getRect(), await windowSize(driver)]
      await driver
        .manage()
        .window()
        .setRect({ width: width + outer.width - inner.width, height: height + outer.height - inner.height })
    },
    open: at => driver.get(at),
    reload: () => driver.navigate().refresh(),
    run: async (work, given) => {
      const { value, failed } = await driver.executeAsyncScript<{ value: never; failed?: string }>(
        `const done = arguments[arguments.length - 1];
         Promise.resolve((${work.toString()})(arguments[0])).then(
           value => done({ value }), e => done({ failed: String(e) }))`,
        given ?? null,
      )
      if (failed) throw new Error(failed)
      return value
    },
    click: async selector => (await found(selector)).click(),
    type: async (selector, text) => {
      const field = await found(selector)
      await field.clear()
      await field.sendKeys(text)
    },
    key: async key =>
      driver
        .actions()
        .sendKeys(key === 'Enter' ? Key.ENTER : key)
        .perform(),
    drag: async (from, ...on) => {
      const at = ({ x, y }: Place) => ({ x: Math.round(x), y: Math.round(y), origin: Origin.VIEWPORT, duration: 40 })
      const actions = driver.actions().move(at(from!)).press()
      for (const to of on) actions.move(at(to))
      await actions.release().perform()
    },
    print: async () => null,
    close: async () => {
      await driver.quit().catch(() => {})
      service.kill()
      screen.kill()
    },
  }
}
const windowSize = (driver: WebDriver) =>
  driver.executeScript<{ width: number; height: number }>('return { width: innerWidth, height: innerHeight }')
