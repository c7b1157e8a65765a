import { assumed } from '../assumed'
import { cells, pages } from '../cells'
import { doubts } from '../doubts'
import { specBook as screens } from '../screens/spec-book'

/** What the spec book's pages say. */
export const specBook = {
  ...assumed,
  ...doubts,
  ...cells,
  ...pages,
  ...screens,
}
