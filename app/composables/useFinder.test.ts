import { expect, it, vi } from 'vitest'
import { useFinder } from './useFinder'

it('a slow answer to what was typed before does not hide the one to what was typed last', async () => {
  const answers = new Map<string, (rows: string[]) => void>()
  const { q, found, find } = useFinder(text => new Promise<string[]>(resolve => answers.set(text, resolve)))
  const all = find()
  q.value = 'M-0113'
  const one = find()
  answers.get('M-0113')!(['Span 850'])
  await one
  answers.get('')!(['the first fifty'])
  await all
  expect(found.value).toEqual(['Span 850'])
})

it('nor does its failure', async () => {
  let fail = (_: Error): void => undefined
  const { q, found, failed, find } = useFinder(text =>
    text
      ? Promise.resolve([text])
      : new Promise<string[]>((_, reject) => {
          fail = reject
        }),
  )
  const all = find()
  q.value = 'M-0113'
  await find()
  fail(new Error('gone'))
  await all
  expect([found.value, failed.value]).toEqual([['M-0113'], ''])
})

it('a list that waits is told when its answer was overtaken, and nothing is asked for twice', async () => {
  vi.useFakeTimers()
  const asked: string[] = []
  const answers = new Map<string, (rows: string[]) => void>()
  const { found, findNow } = useFinder(text => {
    asked.push(text)
    return new Promise<string[]>(resolve => answers.set(text, resolve))
  })
  const first = findNow('mi')
  const second = findNow('minnow')
  answers.get('mi')!(['Mistral 9', 'Minnow 125'])
  answers.get('minnow')!(['Minnow 125'])
  expect(await Promise.all([first, second])).toEqual([false, true])
  expect(found.value).toEqual(['Minnow 125'])
  await vi.advanceTimersByTimeAsync(500)
  expect(asked).toEqual(['mi', 'minnow'])
  vi.useRealTimers()
})
