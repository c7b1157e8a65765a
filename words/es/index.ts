import { tellEnglish } from '..'
import { type Catalogue, teller } from '../teller'
import { finish } from './finish'
import { everywhere } from './groups/everywhere'
import { pages } from './groups/pages'
import { panels } from './groups/panels'
import { practice } from './groups/practice'
import { specBook } from './groups/spec-book'
import { refusals } from './refusals'

/** The same in the Spanish of the Americas. Its type says whether anything is left out. */
const spanish: Catalogue = { ...everywhere, ...panels, ...pages, ...specBook, ...practice, ...refusals }
/** What a newer version says is told in English. */
export const tellSpanish = teller(spanish, finish, tellEnglish)
