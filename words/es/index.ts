import { type Catalogue, teller } from '../teller'
import { answers } from './answers'
import { cells } from './cells'
import { choices } from './choices'
import { closing } from './closing'
import { doubts } from './doubts'
import { finding } from './finding'
import { glossary } from './glossary'
import { letters } from './letters'
import { measuring } from './measuring'
import { missing } from './missing'
import { places } from './places'
import { practice } from './practice'
import { readings } from './readings'
import { ready } from './ready'
import { records } from './records'
import type { refusals } from './refusals'
import { screens } from './screens'
import { setting } from './setting'
import { sheet } from './sheet'
import { specLines } from './spec-lines'
import { turns } from './turns'
import { wrongs } from './wrong'

/** The same in the Spanish of the Americas, as a browser needs it. Its types say whether anything is left out. */
export const shown: Omit<Catalogue, keyof typeof refusals> = {
  ...places,
  ...turns,
  ...choices,
  ...readings,
  ...ready,
  ...finding,
  ...measuring,
  ...setting,
  ...closing,
  ...missing,
  ...answers,
  ...sheet,
  ...letters,
  ...glossary,
  ...wrongs,
  ...practice,
  ...records,
  ...doubts,
  ...cells,
  ...specLines,
  ...screens,
}

/** “a el” and “de el” are one word each. */
export const finish = (words: string): string => words.replace(/\b([Aa]|[Dd]e) el\b/g, '$1l')
/** In Spanish, what a screen says. */
export const tellSpanish = teller(shown, finish)
