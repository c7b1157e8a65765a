import { type Catalogue, teller } from '../teller'
import { tellEnglish } from '..'
import { finish, shown } from '.'
import { refusals } from './refusals'

const spanish: Catalogue = { ...shown, ...refusals }
/** In Spanish, what the server says too: a browser is told that, and need not load it. */
export const tellSpanish = teller(spanish, finish, tellEnglish)
