import { afterEach, expect, it, vi } from 'vitest'
import { fine, refused, shopAnswers } from '~~/tests/support/screens'
import { api } from '../utils/api'
import { useForm } from './useForm'
import { useTasks } from './useTasks'

afterEach(() => vi.unstubAllGlobals())
const post = () => api('POST /api/customers', { body: { name: '', contact: '', email: '' } })

it('keeps what the shop has against each field, and lets go of it when it is sent again', async () => {
  let answer = refused('Something is missing.', 400, {
    fields: [{ field: 'customer.name', message: 'Name is missing: type the owner’s name.' }],
  })
  shopAnswers(() => answer)
  const form = useForm()
  expect(await form.send(post)).toBeNull()
  expect(form.failed.value).toBe('Something is missing.')
  expect(form.wrong('name')).toBe('Name is missing: type the owner’s name.')
  expect(form.wrong('email')).toBeUndefined()
  answer = fine({ id: 7 })
  expect(await form.send(post)).toEqual({ id: 7 })
  expect([form.failed.value, form.wrong('name'), form.busy.value]).toEqual(['', undefined, false])
})

it('is busy from sending to the answer, also where nobody answers', async () => {
  let letGo = (): void => {}
  const waits = new Promise<void>(resolve => (letGo = resolve))
  shopAnswers(async () => {
    await waits
    return 'no answer' as const
  })
  const form = useForm()
  const sent = form.send(post)
  expect(form.busy.value).toBe(true)
  letGo()
  expect(await sent).toBeNull()
  expect(form.busy.value).toBe(false)
  expect(form.failed.value).toContain('server')
})

it('what makes something is asked for under one id until it was answered, and under a new one after', async () => {
  const ids: string[] = []
  const answers = ['no answer', 'no answer', fine({ id: 1 }), fine({ id: 2 })] as const
  vi.stubGlobal('fetch', async (_: string, { headers }: { headers: Record<string, string> }) => {
    const answer = answers[ids.push(headers['idempotency-key']!) - 1]!
    if (answer === 'no answer') throw new TypeError('gone')
    return new Response(JSON.stringify((answer as { body: unknown }).body), {
      headers: { 'content-type': 'application/json' },
    })
  })
  const form = useForm()
  for (let i = 0; i < 4; i++) await form.send(post)
  expect(ids[1]).toBe(ids[0])
  expect(ids[2]).toBe(ids[0])
  expect(ids[3]).not.toBe(ids[0])
})

it('a task that is held is ticked only with a reason, and the refusal is said', async () => {
  const asked = shopAnswers(({ body }) =>
    (body as { because?: string }).because ? fine({}) : refused('Oil change waits for the valves.', 409),
  )
  const tasks = useTasks()
  expect(await tasks.tick(7, true, '')).toBe(false)
  expect(tasks.form.failed.value).toBe('Oil change waits for the valves.')
  expect(await tasks.tick(7, true, 'Owner is in a hurry')).toBe(true)
  expect(asked.map(a => a.line)).toEqual(['PUT /api/tasks/7', 'PUT /api/tasks/7'])
})
