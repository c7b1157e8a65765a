import { type Logger, pino } from 'pino'

/**
 * What the server tells whoever runs it: as plain words at a terminal, or one JSON object a line (`WEMBRIC_LOG=json`,
 * as a service does). No name, no secret and nothing that was typed is part of it: addresses stand as their pattern.
 */
const isJson = (): boolean => process.env.WEMBRIC_LOG === 'json'
let made: Logger | null = null
const json = (): Logger => (made ??= pino({ base: { service: 'wembric' }, timestamp: pino.stdTimeFunctions.isoTime }))

/** A value in quotes may be somebody's name: the database quotes what it refuses. */
const withoutValues = (words: string): string => words.replaceAll(/(['"“‘`]).*?['"”’`]/g, '…')

interface ToldError {
  error: string
  code?: string | undefined
  words: string
  at?: string | undefined
}
/** What may be told of an error. */
export function toldOf(error: unknown): ToldError {
  const { name, message, code, stack } = error as Error & { code?: string }
  const at = stack
    ?.split('\n')
    .filter(line => /^\s+at /.test(line))
    .slice(0, 8)
    .map(line => line.trim())
    .join(' | ')
  return { error: name, code, words: withoutValues(message), at }
}

/** Tells of a request that was answered. */
export function tellRequest(request: { id: string; method: string; route: string; status: number; ms: number }): void {
  if (isJson()) json()[request.status >= 500 ? 'error' : 'info'](request, 'answered')
}
/**
 * Tells of something that failed and was not expected to.
 * @param about the request in which it did, or what was being done
 */
export function tellFailure(error: unknown, about: { id?: string | undefined; doing?: string } = {}): void {
  const told = { ...about, ...toldOf(error) }
  if (isJson()) return json().error(told, 'failed')
  const { doing, code, id } = told
  const head = [doing && `${doing}:`, `${told.error}${code ? ` (${code})` : ''}: ${told.words}`, id && `[${id}]`]
  console.error(`${head.filter(Boolean).join(' ')}\n${told.at}`)
}
/** Tells what goes on with the server itself. */
export function tellNews(words: string): void {
  if (isJson()) json().info(words)
  else console.warn(words)
}
