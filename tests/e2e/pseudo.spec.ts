import { expect, type Page, test } from '@playwright/test'
import { tellPseudo } from '../../words/pseudo'
import { instruction, newJob, signIn } from './bench'
import { BenchHand } from './hand'

/** What people and shops have written themselves, units, and our own name: said in no language. */
const OWN = [
  /Wembric|Español|English/,
  /Minnow 125(, test \d+)?|Zephrin|Quillbrook Engine Works|Set A, metric|workshop manual|E-\d+|E\. Owner/,
  /Cooling duct, 2 screws|Seat box|9 mm box wrench, square key, 16 mm plug socket|crosswise|^due$/,
  /Ines|Tam|Jory/,
  /(Mon|Tues|Wednes|Thurs|Fri|Satur|Sun)day|(Jan|Feb|Mar|Apr|May|Jun|Jul|Aug|Sep|Oct|Nov|Dec)[a-z]*/,
  /\b(thou|TDC|mm|lbf)\b/,
]

/** Text that is shown outside the brackets of a told sentence; and told sentences that are cut off. */
const troubles = (page: Page, own: string[]) =>
  page.evaluate(ownGiven => {
    const own = ownGiven.map(source => new RegExp(source, 'g'))
    const shown = (element: Element | null): boolean =>
      !!element &&
      element.checkVisibility({ opacityProperty: true, visibilityProperty: true }) &&
      !element.closest('.hidden-words, [aria-hidden="true"], script, style, noscript')
    const scrolled = (element: Element): boolean => {
      for (let e = element.parentElement; e; e = e.parentElement)
        if (['auto', 'scroll'].includes(getComputedStyle(e).overflowX)) return true
      return false
    }
    const bare: string[] = []
    let depth = 0
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT)
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      let outside = ''
      for (const c of node.textContent ?? '') {
        if (c === '⟦') depth++
        if (depth === 0) outside += c
        if (c === '⟧') depth--
      }
      if (!shown(node.parentElement)) continue
      const left = own.reduce((text, pattern) => text.replace(pattern, ''), outside)
      if (/[A-Za-z]{3,}/.test(left)) bare.push(`${node.parentElement!.className}: ${left.trim()}`)
    }
    const cut = Array.from(document.querySelectorAll<HTMLElement>('body *'))
      .filter(e => shown(e) && e.childElementCount === 0 && (e.textContent ?? '').includes('⟦'))
      .filter(e => {
        const box = e.getBoundingClientRect()
        const hides = ['hidden', 'clip'].includes(getComputedStyle(e).overflowX)
        return (
          box.width > 0 &&
          ((hides && e.scrollWidth > e.clientWidth + 1) || (box.right > innerWidth + 1 && !scrolled(e)))
        )
      })
      .map(e => `${e.className}: ${e.textContent!.trim().slice(0, 60)}`)
    const wide = Array.from(document.querySelectorAll<HTMLElement>('body *'))
      .filter(e => shown(e) && !scrolled(e) && e.getBoundingClientRect().right > innerWidth + 1)
      .map(e => `${e.tagName} ${e.className}`)
    return {
      bare: [...new Set(bare)],
      cut: [...new Set(cut)],
      wide: document.documentElement.scrollWidth > innerWidth ? wide.slice(0, 5) : [],
    }
  }, own)

const SCREENS = { phone: { width: 390, height: 844 }, bench: { width: 1280, height: 800 } }

test('the main job has a catalogue for every word and room for longer ones, on a phone and a bench screen', async ({
  page,
}) => {
  test.setTimeout(180_000)
  await page.addInitScript(() => localStorage.setItem('wembric-language', 'qps'))
  await signIn(page)
  const job = await newJob(page, 'Minnow 125')
  const hand = await BenchHand.at(page, job, 400, { exhaust: 0.1 })
  hand.tell = tellPseudo
  await page.goto(`/jobs/${job}`)
  await expect(instruction(page)).toBeVisible()
  const own = OWN.map(o => o.source)
  const seen = new Set<string>()
  const found: Record<string, unknown> = {}
  // lists hold what people wrote: there only what is cut off or too wide is a mistake
  const look = async (where: string, list = false) => {
    for (const [screen, size] of Object.entries(SCREENS)) {
      await page.setViewportSize(size)
      const { bare, cut, wide } = await troubles(page, list ? [...own, '[^]+'] : own)
      if (bare.length || cut.length || wide.length) found[`${where} on a ${screen}`] = { bare, cut, wide }
    }
  }
  // each step is looked at as it begins, with the answer that it asks for in the dock
  for (let step = ''; step !== 'end';) {
    await hand.until(next => {
      step = next.instruction.startsWith('Sign and close') ? 'end' : next.step
      return step === 'end' || !seen.has(step)
    })
    await expect(instruction(page)).toContainText('⟧')
    await look(step)
    seen.add(step)
  }
  await hand.step()
  await page.goto(`/jobs/${job}/sheet`)
  await expect(page.locator('article.sheet')).toBeVisible()
  await look('sheet')
  for (const path of ['/', '/due', '/shelf', '/jobs/new', '/machines', '/spec-book']) {
    await page.goto(path)
    await expect(page.locator('h1').first()).toBeVisible()
    await page.waitForLoadState('networkidle')
    await expect(page.locator('.loading')).toHaveCount(0)
    await look(path, true)
  }
  expect(found).toEqual({})
})
