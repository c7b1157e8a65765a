import { createServer, request, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { expect, test } from '@playwright/test'
import { instruction, newJob, saved, signIn } from './bench'

test.use({ serviceWorkers: 'allow' })

/** The shop's server as it is seen from outside, before and after an upgrade: its service worker is another file. */
async function upgradable(origin: string): Promise<{ url: string; upgrade: () => void; close: () => void }> {
  let upgraded = false
  const { hostname, port } = new URL(origin)
  const server: Server = createServer((asked, answer) => {
    const headers = { ...asked.headers, host: `${hostname}:${port}`, origin: asked.headers.origin ? origin : undefined }
    const isWorker = asked.url === '/sw.js'
    if (isWorker) headers['accept-encoding'] = 'identity'
    const passed = request(
      {
        hostname,
        port,
        path: asked.url,
        method: asked.method,
        headers: JSON.parse(JSON.stringify(headers)) as typeof headers,
      },
      reply => {
        if (!isWorker) {
          answer.writeHead(reply.statusCode!, reply.headers)
          reply.pipe(answer)
          return
        }
        const parts: Buffer[] = []
        reply.on('data', (part: Buffer) => parts.push(part))
        reply.on('end', () => {
          const { 'content-length': _, 'etag': __, 'last-modified': ___, ...kept } = reply.headers
          answer.writeHead(200, { ...kept, 'cache-control': 'no-store' })
          answer.end(Buffer.concat(parts).toString() + (upgraded ? '\n// another build' : ''))
        })
      },
    )
    passed.on('error', () => answer.destroy())
    asked.pipe(passed)
  })
  await new Promise<void>(done => server.listen(0, '127.0.0.1', done))
  return {
    url: `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
    upgrade: () => (upgraded = true),
    close: () => (server.closeAllConnections(), server.close()),
  }
}

test('a page hears of a new version between two answers, and goes over to it when asked; another keeps what it has', async ({
  browser,
  baseURL,
}) => {
  const shop = await upgradable(baseURL!)
  const context = await browser.newContext({ baseURL: shop.url, serviceWorkers: 'allow' })
  try {
    const page = await context.newPage()
    await signIn(page)
    const job = await newJob(page, 'Minnow 125')
    await page.goto(`/jobs/${job}`)
    await expect(instruction(page)).toBeVisible()
    await page.evaluate(() => navigator.serviceWorker.ready.then(() => true))
    const other = await context.newPage()
    await other.goto('/machines')
    await expect(other.getByRole('heading', { level: 1 })).toBeVisible()

    shop.upgrade()
    await page.evaluate(async () => {
      const registration = (await navigator.serviceWorker.getRegistration())!
      await registration.update()
      // it is fetched whole beside the one that runs
      while (!registration.waiting) await new Promise(done => setTimeout(done, 50))
    })
    const news = page.getByText('A new version is ready.')
    // nothing moves while a question stands
    await expect(news).toHaveCount(0)
    const question = await instruction(page).innerText()
    await page.keyboard.press('1')
    await expect(instruction(page)).not.toHaveText(question)
    await saved(page)
    await expect(news).toBeVisible()
    // on a phone it takes its room from the page, and covers no key
    await page.setViewportSize({ width: 390, height: 844 })
    for (const key of ['More', 'Undo'])
      await expect(page.getByRole('button', { name: new RegExp(`^${key}`) })).toBeInViewport({ ratio: 1 })
    await expect(page.locator('[data-key="1"]')).toBeInViewport({ ratio: 1 })
    await page.setViewportSize({ width: 1280, height: 800 })
    const next = await instruction(page).innerText()
    await page.getByRole('button', { name: 'Use it now' }).click()
    await page.waitForLoadState()
    await expect(news).toHaveCount(0)
    await expect(instruction(page)).toHaveText(next)
    // the other page was not touched; it hears of it at its own seam
    await expect(other.getByText('A new version is ready.')).toHaveCount(0)
    await other.getByRole('link', { name: 'Shelf' }).click()
    await expect(other.getByText('A new version is ready.')).toBeVisible()
  } finally {
    await context.close()
    shop.close()
  }
})
