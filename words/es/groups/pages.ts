import { letters } from '../letters'
import { records } from '../records'
import { bay } from '../screens/bay'
import { forms } from '../screens/forms'
import { installation } from '../screens/installation'
import { jobSheet } from '../screens/job-sheet'
import { machine } from '../screens/machine'
import { photos } from '../screens/photos'
import { quick } from '../screens/quick'
import { severalShops } from '../screens/several-shops'
import { shelf } from '../screens/shelf'
import { shop } from '../screens/shop'
import { sheet } from '../sheet'

/** What the shop's own pages say: Bay, machines, shelf, papers. */
export const pages = {
  ...letters,
  ...records,
  ...bay,
  ...forms,
  ...installation,
  ...jobSheet,
  ...machine,
  ...photos,
  ...quick,
  ...shelf,
  ...severalShops,
  ...shop,
  ...sheet,
}
