import { mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import PrimeVue from 'primevue/config'
import ToastService from 'primevue/toastservice'
import { vi } from 'vitest'
import { defineComponent, h } from 'vue'
import type { SessionResponse } from '../../shared/session'

/** A composable as a page has it: inside a component, which it is given back with. */
export function within<T>(setup: () => T): { it: T; end: () => void } {
  let made!: T
  const page = mount(
    defineComponent({
      setup() {
        made = setup()
        return () => h('div')
      },
    }),
    { global: { plugins: [PrimeVue, ToastService] } },
  )
  return { it: made, end: () => page.unmount() }
}

/** Who works at the browser, for a session store that nobody signed in. */
export const sessionOf = (changes: Partial<SessionResponse['person']> = {}): SessionResponse => ({
  person: {
    id: 1,
    name: 'Ada',
    role: 'lead',
    favouriteSetId: null,
    language: null,
    hands: 'guided',
    unit: null,
    byPin: false,
    runsServer: false,
    ...changes,
  },
  shop: {
    id: 1,
    name: 'S',
    timeZone: 'Etc/UTC',
    unit: 'mm',
    language: null,
    favouriteSchool: null,
    target: 'middle',
    bladeHabit: 'out at torque',
    pairToProve: false,
    valveMinutes: 45,
    taskMinutes: 20,
    isDemo: false,
  },
  now: new Date().toISOString(),
})

interface Asked {
  /** “PUT /api/tasks/7” */
  line: string
  body: unknown
}
type Answer = { status: number; body: unknown } | 'no answer'
/** A shop's server as a browser meets it. @returns what was asked of it, in order */
export function shopAnswers(answer: (asked: Asked) => Answer | Promise<Answer>): Asked[] {
  const asked: Asked[] = []
  vi.stubGlobal('fetch', async (path: string, { method, body }: { method: string; body?: string }) => {
    const one = { line: `${method} ${path}`, body: body === undefined ? undefined : (JSON.parse(body) as unknown) }
    asked.push(one)
    const given = await answer(one)
    if (given === 'no answer') throw new TypeError('fetch failed')
    return new Response(JSON.stringify(given.body), {
      status: given.status,
      headers: { 'content-type': given.status < 400 ? 'application/json' : 'application/problem+json' },
    })
  })
  return asked
}
export const fine = (body: unknown): Answer => ({ status: 200, body })
export const refused = (title: string, status = 400, more: object = {}): Answer => ({
  status,
  body: { type: 'about:blank', title, status, ...more },
})

/** A device on which nobody has worked yet. */
export function newDevice(): void {
  localStorage.clear()
  setActivePinia(createPinia())
}
