import 'fake-indexeddb/auto'
import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { fine, newDevice, refused, sessionOf, shopAnswers, within } from '../../tests/support/screens'

let navigateTo: ReturnType<typeof vi.fn>
const assign = vi.fn()
beforeEach(async () => {
  vi.resetModules()
  newDevice()
  navigateTo = (await import('#imports')).navigateTo as unknown as ReturnType<typeof vi.fn>
  navigateTo.mockReset()
  assign.mockReset()
  vi.stubGlobal('location', { ...location, assign, reload: vi.fn() })
})
afterEach(() => vi.unstubAllGlobals())

const session = async () => (await import('../stores/session')).useSessionStore()

describe('the next person takes over on this device', () => {
  const CREW = [
    { id: 1, name: 'Ada', here: true, hasPin: true },
    { id: 2, name: 'Tam', here: false, hasPin: true },
  ]
  async function crewAt(pin: (body: unknown) => ReturnType<typeof fine>) {
    const asked = shopAnswers(({ line, body }) => {
      if (line === 'GET /api/crew') return fine({ people: CREW })
      return line === 'POST /api/session/pin' ? pin(body) : fine({})
    })
    const { useCrew } = await import('./useCrew')
    const { it: crew, end } = within(useCrew)
    await flushPromises()
    await vi.waitFor(() => expect(crew.asked.value).toBe(true))
    return { crew, asked, end }
  }
  it('by a PIN, and goes on where the one before was', async () => {
    const store = await session()
    store.begin(sessionOf())
    const { crew, asked, end } = await crewAt(() => fine(sessionOf({ id: 2, name: 'Tam' })))
    expect(crew.crew.value.map(p => p.name)).toEqual(['Ada', 'Tam'])
    await crew.takeOver(2, '4711', '/jobs/12')
    expect(asked.find(a => a.line === 'POST /api/session/pin')!.body).toEqual({ personId: 2, pin: '4711' })
    expect(store.person?.name).toBe('Tam')
    expect(navigateTo).toHaveBeenCalledWith('/jobs/12')
    end()
  })
  it('a wrong PIN leaves the one before at work, and says so', async () => {
    const store = await session()
    store.begin(sessionOf())
    const { crew, end } = await crewAt(() => refused('That PIN is not Tam’s.', 401, { code: 'wrong-password' }))
    await crew.takeOver(2, '0000', '/')
    expect([store.person?.name, crew.form.failed.value]).toEqual(['Ada', 'That PIN is not Tam’s.'])
    expect(navigateTo).not.toHaveBeenCalled()
    end()
  })
  it('is spoken to in their own language: the page is loaded again for that', async () => {
    const { crew, end } = await crewAt(() => fine(sessionOf({ id: 2, name: 'Tam', language: 'es' })))
    await crew.takeOver(2, '4711', '/jobs/12')
    expect(assign).toHaveBeenCalledWith('/jobs/12')
    expect(navigateTo).not.toHaveBeenCalled()
    expect(localStorage.getItem('wembric-language')).toBe('es')
    end()
  })
  it('where nobody answers, nobody is offered, and the page says no wrong', async () => {
    shopAnswers(() => 'no answer')
    const { useCrew } = await import('./useCrew')
    const { it: crew, end } = within(useCrew)
    await vi.waitFor(() => expect(crew.asked.value).toBe(true))
    expect([crew.crew.value, crew.form.failed.value]).toEqual([[], ''])
    end()
  })
})

describe('a language that somebody chose', () => {
  it('goes with them; where nobody is signed in, it stays on this device alone', async () => {
    const asked = shopAnswers(() => fine({}))
    const { useOwnLanguage } = await import('./useOwnLanguage')
    const own = useOwnLanguage()
    await own.keep('es')
    expect(asked).toEqual([])
    ;(await session()).begin(sessionOf())
    await own.keep('es')
    expect(asked.map(a => [a.line, a.body])).toEqual([['PUT /api/language', { language: 'es' }]])
  })
  it('is kept here though nobody answers', async () => {
    shopAnswers(() => 'no answer')
    ;(await session()).begin(sessionOf())
    const { useOwnLanguage } = await import('./useOwnLanguage')
    await expect(useOwnLanguage().keep('es')).resolves.toBeUndefined()
  })
  it('whoever chose none, or this one, is not loaded again', async () => {
    const { useOwnLanguage } = await import('./useOwnLanguage')
    const store = await session()
    for (const language of [null, 'en'] as const) {
      store.begin(sessionOf({ language }))
      expect(useOwnLanguage().speakTheirs('/')).toBe(false)
    }
    expect(assign).not.toHaveBeenCalled()
  })
})

describe('who may see which page', () => {
  const OWN = { path: '/jobs/12', fullPath: '/jobs/12?x=1' }
  async function middleware() {
    const guard = (await import('../middleware/session.global')).default as unknown as (
      to: typeof OWN,
    ) => Promise<unknown>
    return guard
  }
  const answers = (session: ReturnType<typeof fine>, needed = false) =>
    shopAnswers(({ line }) => (line === 'GET /api/setup' ? fine({ needed }) : session))
  const NOBODY = refused('Sign in first.', 401, { code: 'sign-in-first' })

  it('without a session everything leads to the door, and from there back', async () => {
    answers(NOBODY)
    await (
      await middleware()
    )(OWN)
    expect(navigateTo).toHaveBeenCalledWith({ path: '/sign-in', query: { back: '/jobs/12?x=1' } })
  })
  it('the Bay itself needs no way back', async () => {
    answers(NOBODY)
    await (
      await middleware()
    )({ path: '/', fullPath: '/' })
    expect(navigateTo).toHaveBeenCalledWith({ path: '/sign-in', query: {} })
  })
  it('an empty server leads to its first page', async () => {
    answers(NOBODY, true)
    await (
      await middleware()
    )(OWN)
    expect(navigateTo).toHaveBeenCalledWith('/setup')
  })
  it('the door is open to nobody’s session, and leads on whoever has one', async () => {
    const door = { path: '/sign-in', fullPath: '/sign-in' }
    answers(NOBODY)
    expect(await (await middleware())(door)).toBeUndefined()
    expect(navigateTo).not.toHaveBeenCalled()
    ;(await session()).begin(sessionOf())
    await (
      await middleware()
    )(door)
    expect(navigateTo).toHaveBeenCalledWith('/')
  })
  it('but not one whose session has ended: they came to sign in again', async () => {
    answers(fine(sessionOf()))
    const store = await session()
    store.begin(sessionOf())
    store.loaded = true
    store.expired = true
    await (
      await middleware()
    )({ path: '/sign-in', fullPath: '/sign-in' })
    expect(navigateTo).not.toHaveBeenCalled()
  })
  it('whoever is signed in goes where they want, and is asked about once', async () => {
    const asked = answers(fine(sessionOf()))
    const guard = await middleware()
    await guard(OWN)
    await guard(OWN)
    expect(navigateTo).not.toHaveBeenCalled()
    expect(asked.map(a => a.line)).toEqual(['GET /api/session'])
  })
  it('whoever was here last goes on where no server answers', async () => {
    const { rememberSession } = await import('../local/database')
    await rememberSession(sessionOf())
    shopAnswers(() => 'no answer')
    await (
      await middleware()
    )(OWN)
    expect(navigateTo).not.toHaveBeenCalled()
    expect((await session()).offline).toBe(true)
  })
})
