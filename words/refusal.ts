import { heard } from '../core/wrong'
import { tellEnglish } from '.'

/** In English, what is refused by a schema’s or an error’s message; empty where there is none. */
export const refusal = (message: string | undefined): string => tellEnglish(heard(message ?? ''))

/** In English, why something is refused that throws; empty where it does not. */
export function refusalOf(work: () => unknown): string {
  try {
    work()
    return ''
  } catch (error) {
    return refusal((error as Error).message)
  }
}
