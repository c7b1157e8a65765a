import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { SeenWord } from '~~/core/page-text'
import { usePageReading } from './usePageReading'

let seen: SeenWord[] | Error
vi.mock('../ocr/see-page', () => ({
  seePage: () =>
    seen instanceof Error
      ? Promise.reject(seen)
      : Promise.resolve({
          words: seen,
          canvas: { width: 800, height: 600 } as HTMLCanvasElement,
        }),
}))
const PAGE = 'Intake valve: .004 in\nExhaust valve: .006 in\nLock nut: 9 N·m\nIntake valve: .005 in'
const words = (text: string, sure = 90): SeenWord[] =>
  text.split('\n').flatMap((part, line) =>
    part.split(' ').map((word, n) => ({
      text: word,
      line,
      sure,
      box: { x0: n * 80, y0: line * 40, x1: n * 80 + 70, y1: line * 40 + 30 },
    })),
  )
const photo = (bytes = 10) => new File([new Uint8Array(bytes)], 'page.jpg', { type: 'image/jpeg' })
const pasted = (text = PAGE) => {
  const page = usePageReading()
  page.text.value = text
  page.paste()
  return page
}
const of = (page: ReturnType<typeof usePageReading>, field: string, nth = 0) =>
  page.offered.value.filter(f => f.field === field)[nth]!

beforeEach(() => {
  seen = []
  // a canvas of a test draws nothing: the piece is what matters of it
  vi.stubGlobal('document', {
    createElement: () => ({ getContext: () => ({ drawImage: () => {} }), toDataURL: () => 'data:piece' }),
  })
})

afterEach(() => vi.unstubAllGlobals())

describe('a page that was pasted', () => {
  it('offers what it states, each with the words around it, and fills in nothing by itself', () => {
    const page = pasted()
    expect(page.offered.value.map(f => [f.field, f.doubts.length > 0])).toEqual([
      ['intake', true],
      ['exhaust', false],
      ['locknut', false],
      ['intake', true],
    ])
    expect(of(page, 'exhaust').quote).toContain('Exhaust valve: .006 in')
    expect(page.fields()).toEqual({})
  })
  it('what is checked stays checked when another is, and one field takes one figure', () => {
    const page = pasted()
    page.toggle(of(page, 'exhaust'))
    page.toggle(of(page, 'locknut'))
    page.toggle(of(page, 'intake'))
    expect(page.taken.value).toHaveLength(3)
    page.toggle(of(page, 'intake', 1))
    expect(page.fields()).toEqual({ exhaust: '.006 in', locknut: '9 N·m', intake: '.005 in', unit: 'in' })
    page.toggle(of(page, 'locknut'))
    expect(page.fields()).not.toHaveProperty('locknut')
  })
  it('those without doubt are one key; what is left may still be looked at', () => {
    const page = pasted()
    page.takeSure()
    expect(Object.keys(page.fields())).toEqual(['exhaust', 'locknut', 'unit'])
    page.settle()
    expect(page.offered.value.map(f => f.field)).toEqual(['intake', 'intake'])
  })
  it('with nothing on it says so, and nothing at all is no page', () => {
    expect(pasted('Two eggs and flour').read.value).toBe(true)
    expect(pasted('  ').read.value).toBe(false)
  })
})

describe('a page that was photographed', () => {
  it('shows each figure with its piece of the picture, and keeps the photo', async () => {
    seen = words(PAGE)
    const page = usePageReading()
    const file = photo()
    await page.photograph(file)
    expect(of(page, 'exhaust')).toMatchObject({ piece: 'data:piece', text: '.006 in' })
    expect(page.photo.value).toBe(file)
    expect(page.part.value).toBeNull()
  })
  it.each([
    ['too poor to be read', words(PAGE, 40), /can’t be made out/],
    ['that is no picture', new Error('no'), /can’t be opened/],
  ])('one %s is refused with what to do, and no photo is kept', async (_, given, says) => {
    seen = given
    const page = usePageReading()
    await page.photograph(photo())
    expect(page.problem.value).toMatch(says)
    expect([page.offered.value, page.photo.value]).toEqual([[], null])
  })
  it('one that is too large is said before it is read', async () => {
    const page = usePageReading()
    await page.photograph(photo(5 * 1024 * 1024 + 1))
    expect(page.problem.value).toMatch(/5\.0 MB; 5 MB is the limit/)
  })
  it('a pasted page after a photographed one has no photo', async () => {
    seen = words(PAGE)
    const page = usePageReading()
    await page.photograph(photo())
    page.text.value = PAGE
    page.paste()
    expect(page.photo.value).toBeNull()
  })
})
