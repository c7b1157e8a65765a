import type { Stop } from '../stops'
import type { Advice } from './advice'
import type { Position } from './locate'
import type { PositionModel } from './model'
import type { Noted } from './observation'
import { adviseBySearch } from './search'
import { adviseByTable } from './table'

/**
 * The next whole move or feel: by rule where there is one, else by weighing the moves.
 * @param wanted which stops are looked for; a job wants those that still have work
 */
export const adviseNext = (
  model: PositionModel,
  position: Position,
  noted: Noted[],
  wanted?: (stop: Stop) => boolean,
): Advice => adviseByTable(model, position, noted, wanted) ?? adviseBySearch(model, position, noted)
