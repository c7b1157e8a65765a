import { everywhere } from './groups/everywhere'
import { pages } from './groups/pages'
import { panels } from './groups/panels'
import { practice } from './groups/practice'
import { specBook } from './groups/spec-book'
import { refusals } from './refusals'

/** All that may be said, in American English: each thing by its name, with what it is about. */
export const english = { ...everywhere, ...panels, ...pages, ...specBook, ...practice, ...refusals }
export type English = typeof english
