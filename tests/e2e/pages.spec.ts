import { expect, type Page, test } from '@playwright/test'
import { axe, signIn } from './bench'
import { wider, WIDTHS } from './reflow'

/** The pages of the demo shop by room; some of the spec book are found by their model. */
const ROOMS: Record<string, string[]> = {
  'the door and the Bay': ['/sign-in', '/', '/jobs/new', '/due', '/practice', '/practice?seed=12'],
  'machines and owners': ['/machines', '/machines/1', '/machines/1/tag', '/customers/1', '/jobs/1/sheet', '/glossary'],
  'the spec book': ['/spec-book', '/spec-book/{duet}', '/spec-book/{hedgerow}/compare?a={first}&b={last}'],
  'writing in the spec book': ['/spec-book/{hedgerow}/draft', '/spec-book/new', '/spec-book/import'],
  'running the server': ['/shops', '/backups', '/phones'],
  'shop and jobs': ['/shelf', '/shop', '/log', '/me', '/jobs/20', '/jobs/17'],
}

async function idsOf(page: Page): Promise<Record<string, number>> {
  return page.evaluate(async () => {
    const get = async <T>(path: string) => (await (await fetch(path)).json()) as T
    const of = async (q: string) => (await get<{ rows: { id: number }[] }>(`/api/models?q=${q}`)).rows[0]!.id
    const hedgerow = await of('hedgerow')
    const { revisions } = await get<{ revisions: { id: number }[] }>(`/api/models/${hedgerow}`)
    return { duet: await of('duet'), hedgerow, first: revisions[0]!.id, last: revisions.at(-1)!.id }
  })
}

for (const [room, paths] of Object.entries(ROOMS))
  test(`${room}: every page stands the accessibility check in light and dim, and fits each width`, async ({ page }) => {
    await signIn(page)
    const ids = await idsOf(page)
    for (const path of paths.map(p => p.replaceAll(/\{(\w+)\}/g, (_, name: string) => String(ids[name])))) {
      const clean = async (where: string, rules?: 'contrast' | 'all but contrast') =>
        expect(
          (await axe(page, rules)).map(v => [v.id, v.nodes[0]?.html]),
          `${path} ${where}`,
        ).toEqual([])
      await page.goto(path)
      await expect(page.locator('h1').first()).toBeAttached()
      await page.waitForLoadState('networkidle')
      await clean('at 1280')
      await page.evaluate(() => document.documentElement.classList.add('dark'))
      await clean('in Dim', 'contrast')
      for (const width of WIDTHS) {
        await page.setViewportSize({ width, height: 800 })
        // a chart takes the width of its page a frame later
        await expect.poll(() => wider(page), `${path} at ${width}`).toEqual([])
        // what stands elsewhere on a phone has the colors that it had
        if (width === 390) await clean('at 390', 'all but contrast')
      }
    }
  })
