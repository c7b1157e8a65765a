import { wrap } from '../engine'

/** The belief lives on a grid of half degrees. */
export const CELL_DEG = 0.5
export const CELLS = 1440

/** The cell nearest to a cycle angle. */
export const cellOf = (deg: number): number => Math.round(wrap(deg) / CELL_DEG) % CELLS
