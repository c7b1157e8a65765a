import { access } from '../access'
import { answers } from '../answers'
import { choices } from '../choices'
import { closing } from '../closing'
import { finding } from '../finding'
import { glossary } from '../glossary'
import { measuring } from '../measuring'
import { missing } from '../missing'
import { places } from '../places'
import { readings } from '../readings'
import { ready } from '../ready'
import { bench } from '../screens/bench'
import { common } from '../screens/common'
import { shell } from '../screens/shell'
import { setting } from '../setting'
import { specLines } from '../spec-lines'
import { turns } from '../turns'
import { wrongs } from '../wrong'

/** All that the Bench says and what every page says: fetched first. */
export const everywhere = {
  ...places,
  ...turns,
  ...choices,
  ...readings,
  ...ready,
  ...finding,
  ...measuring,
  ...setting,
  ...closing,
  ...access,
  ...missing,
  ...answers,
  ...glossary,
  ...wrongs,
  ...specLines,
  ...common,
  ...shell,
  ...bench,
}
