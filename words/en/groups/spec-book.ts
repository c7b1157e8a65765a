import { assumed } from '../assumed'
import { doubts } from '../doubts'
import { cells, pages } from '../cells'
import { specBook as screens } from '../screens/spec-book'

/** What the spec book's pages say. */
export const specBook = {
  ...assumed,
  ...doubts,
  ...cells,
  ...pages,
  ...screens,
}
