import { practice as work } from '../practice'
import { practice as screens } from '../screens/practice'

/** What practice says: the work at a drawn engine, and its screens. */
export const practice = {
  ...work,
  ...screens,
}
