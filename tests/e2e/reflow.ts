import { expect, type Page } from '@playwright/test'

export const WIDTHS = [320, 360, 390, 768, 1024, 1280]
/** A screen of 1280 × 800 as it is left by its zoom, and by text spacing on top (WCAG 2.2, 1.4.4, 1.4.10, 1.4.12). */
const ZOOMS = [
  { zoom: '100 %', width: 1280, height: 800 },
  { zoom: '125 %', width: 1024, height: 640 },
  { zoom: '200 %', width: 640, height: 400 },
  { zoom: '400 %', width: 320, height: 200 },
]
/** Spacing that a reader may set for themselves, by the figures of WCAG 2.2, 1.4.12. */
const SPACED = `* { line-height: 1.5 !important; letter-spacing: 0.12em !important; word-spacing: 0.16em !important }
  p { margin-bottom: 2em !important }`

/** What is wider than the screen, by name; nothing where all of it fits. */
export const wider = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    if (document.documentElement.scrollWidth <= window.innerWidth) return []
    const scrolled = (e: Element): boolean => {
      for (let p = e.parentElement; p; p = p.parentElement)
        if (['auto', 'scroll', 'hidden', 'clip'].includes(getComputedStyle(p).overflowX)) return true
      return false
    }
    const found = [...document.querySelectorAll('body *')].filter(
      e => e.getBoundingClientRect().right > window.innerWidth + 1 && !scrolled(e),
    )
    return found.slice(0, 4).map(e => `${e.tagName.toLowerCase()}.${[...e.classList].join('.')}`)
  })

/** Targets that something lies over when they are scrolled to, and those whose words are cut off. */
export const troubled = (page: Page, selector: string): Promise<string[]> =>
  page.evaluate(async sel => {
    const found: string[] = []
    for (const element of document.querySelectorAll<HTMLElement>(sel)) {
      element.scrollIntoView({ block: 'center' })
      await new Promise(requestAnimationFrame)
      const { left, top, width, height } = element.getBoundingClientRect()
      const name = element.innerText.replaceAll(/\s+/g, ' ').slice(0, 40)
      for (const [x, y] of [
        [0.5, 0.5],
        [0.1, 0.2],
        [0.9, 0.8],
      ] as const) {
        const at = [left + width * x, Math.min(Math.max(top + height * y, 1), window.innerHeight - 1)] as const
        const there = document.elementFromPoint(...at)
        if (!there || !(element.contains(there) || there.contains(element)))
          found.push(`“${name}” lies under ${there?.tagName.toLowerCase()}.${there?.className}`)
      }
      if (element.scrollWidth > element.clientWidth + 2) found.push(`“${name}” is cut off`)
    }
    return [...new Set(found)]
  }, selector)

/** That the page stands zoom and text spacing: nothing too wide, question and answers free, nothing cut off. */
export async function reflows(page: Page, where: string): Promise<void> {
  const before = page.viewportSize()!
  for (const { zoom, width, height } of ZOOMS) {
    await page.setViewportSize({ width, height })
    expect(await wider(page), `${where}, ${zoom}`).toEqual([])
    expect(await troubled(page, '[data-testid=instruction], [data-key]'), `${where}, ${zoom}`).toEqual([])
  }
  const style = await page.addStyleTag({ content: SPACED })
  for (const { width, height } of [
    { width: 390, height: 844 },
    { width: 1280, height: 800 },
  ]) {
    await page.setViewportSize({ width, height })
    expect(await wider(page), `${where}, spaced, ${width}`).toEqual([])
    expect(await troubled(page, '[data-testid=instruction], [data-key]'), `${where}, spaced, ${width}`).toEqual([])
  }
  await style.evaluate(e => (e as HTMLElement).remove())
  await page.setViewportSize(before)
}
