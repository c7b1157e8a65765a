import { mount } from '@vue/test-utils'
import PrimeVue from 'primevue/config'
import ConfirmationService from 'primevue/confirmationservice'
import ToastService from 'primevue/toastservice'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { type ShopHere, shopLimitsSchema } from '~~/shared/shops'
import { fine, newDevice, refused, shopAnswers, within } from '~~/tests/support/screens'
import { limitsOf, typedLimits, useShopsHere } from '../../composables/useShopsHere'
import ShopsHere from './ShopsHere.vue'

afterEach(() => vi.unstubAllGlobals())

const shop = (changes: Partial<ShopHere> = {}): ShopHere => ({
  ...{ id: 1, name: 'North Yard', shortName: 'north', host: null, since: '2026-01-01T00:00:00Z' },
  ...{ people: 1, mostPeople: null, photoMb: 12, mostPhotoMb: 500, jobs: 0, lastJobAt: null },
  ...{ closedAt: null, goesAt: null, own: false, ...changes },
})
const table = (...shops: ShopHere[]) =>
  mount(ShopsHere, {
    props: { shops, timeZone: 'Etc/UTC' },
    global: { plugins: [PrimeVue, ConfirmationService, ToastService] },
  })
const keys = (page: ReturnType<typeof table>) => page.findAll('.keys > *').map(key => key.text())

describe('the shops of a server', () => {
  it('say how much there is of each, beside what it may have', () => {
    const text = table(shop({ jobs: 3, lastJobAt: '2026-05-02T10:00:00Z', mostPeople: 4 })).text()
    for (const said of ['1 of 4 people', '12 of 500 MB of photos', '3 jobs, the last on May 2, 2026'])
      expect(text).toContain(said)
    expect(table(shop()).text()).toContain('no job yet')
  })
  it('one’s own is not closed from here; a closed one is opened again or fetched, and nothing else', () => {
    expect(keys(table(shop({ own: true })))).toEqual(['Limits, name', 'New code', 'Files'])
    const closed = table(shop({ closedAt: '2026-05-01T00:00:00Z', goesAt: '2026-05-31T00:00:00Z' }))
    expect(keys(closed)).toEqual(['Open again', 'Files'])
    expect(closed.text()).toContain('Its records go on May 31, 2026')
  })
  it('nothing is closed by one tap: it is asked about first', async () => {
    const page = table(shop())
    await page.findAll('.keys button').at(-1)!.trigger('click')
    expect(page.emitted('close')).toBeUndefined()
  })
})

describe('limits as they are typed', () => {
  it('an empty field is none; a thousand may have a comma; what is no number is refused', () => {
    const typed = { ...typedLimits(shop()), mostPeople: '', mostPhotoMb: '2,000' }
    expect(shopLimitsSchema.parse(limitsOf(typed))).toEqual({
      ...{ shortName: 'north', host: null, mostPeople: null, mostPhotoMb: 2000 },
    })
    for (const wrong of ['four', '0', '-1', '1e99', '1.5', '2,5'])
      expect(shopLimitsSchema.safeParse(limitsOf({ ...typed, mostPeople: wrong })).success, wrong).toBe(false)
  })
  it('a host is a name alone, in small letters', () => {
    const of = (host: string) => shopLimitsSchema.safeParse(limitsOf({ ...typedLimits(shop()), host }))
    expect(of('North.Example.com').data?.host).toBe('north.example.com')
    for (const wrong of ['https://north.example.com', 'north/', 'a b', '-north', '.'])
      expect(of(wrong).success).toBe(false)
  })
})

describe('making and closing', () => {
  it('keeps a way in on the screen until there is another, and what was refused stays typed', async () => {
    newDevice()
    const way = { id: 2, shop: 'east', signIn: 'eve', code: 'ABCD-EF23', until: '2026-05-02T00:00:00Z' }
    let taken = true
    const asked = shopAnswers(({ line }) => {
      if (line === 'GET /api/shops') return fine([shop()])
      return taken ? refused('That is taken already.', 409, { code: 'duplicate', fields: [] }) : fine(way)
    })
    const { it: here, end } = within(useShopsHere)
    const body = {
      shop: 'East',
      shortName: 'east',
      timeZone: 'Etc/UTC',
      unit: 'mm',
      lead: { name: 'Eve', signIn: 'eve' },
    }
    expect(await here.add(body as never)).toBe(false)
    expect(here.adding.failed.value).toContain('taken')
    expect(here.wayIn.value).toBeNull()
    taken = false
    expect(await here.add(body as never)).toBe(true)
    expect(here.wayIn.value).toEqual(way)
    await here.close(1)
    expect(here.wayIn.value).toEqual(way)
    expect(asked.map(a => a.line)).toContain('POST /api/shops/1/close')
    end()
  })
})
