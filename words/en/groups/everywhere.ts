import { places } from '../places'
import { turns } from '../turns'
import { choices } from '../choices'
import { readings } from '../readings'
import { ready } from '../ready'
import { finding } from '../finding'
import { measuring } from '../measuring'
import { setting } from '../setting'
import { closing } from '../closing'
import { access } from '../access'
import { missing } from '../missing'
import { answers } from '../answers'
import { glossary } from '../glossary'
import { wrongs } from '../wrong'
import { specLines } from '../spec-lines'
import { common } from '../screens/common'
import { shell } from '../screens/shell'
import { photos } from '../screens/photos'
import { bench } from '../screens/bench'

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
  ...photos,
  ...bench,
}
