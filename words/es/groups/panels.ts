import { panels as screens } from '../screens/panels'

/** What the Bench’s panels say. */
export const panels = { ...screens }
