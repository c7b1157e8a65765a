import { cells } from '../cells'
import { specBook as screens } from '../screens/spec-book'

/** What the spec book's pages say. */
export const specBook = {
  ...cells,
  ...screens,
}
