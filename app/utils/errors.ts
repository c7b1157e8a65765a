import { heard } from '~~/core/wrong'
import { z } from '~~/core/zod'
import { t, tell } from '../words'

/** Words for any error that a screen meets: the server’s, a schema’s first, or those of a figure that cannot be read. */
export function wordsFor(error: unknown): string {
  if (error instanceof z.ZodError) return tell(heard(error.issues[0]?.message ?? ''))
  return error instanceof Error ? tell(heard(error.message)) : t('api.something-failed-try-again')
}
