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
import { setting } from './setting'
import { records } from './records'
import { refusals } from './refusals'
import { screens } from './screens'
import { sheet } from './sheet'
import { specLines } from './spec-lines'
import { turns } from './turns'
import { wrongs } from './wrong'

/** All that the core may say, in American English: each thing by its name, with what it is about. */
export const english = {
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
  ...refusals,
  ...doubts,
  ...cells,
  ...specLines,
  ...screens,
}
export type English = typeof english
