export * from './cooling-curve'
export * from './ready-at'
export * from './thermometer'
