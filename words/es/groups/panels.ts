import { panels as screens } from '../screens/panels'
import { photos } from '../screens/photos'

/** What the Bench’s panels say. */
export const panels = { ...screens, ...photos }
