import { english } from './en'
import { teller } from './teller'

export * from './teller'
/** In American English. A page of another language does not load it: it takes `teller.ts` alone. */
export const tellEnglish = teller(english)
