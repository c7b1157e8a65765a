export * from './robot'
export * from './robot-run'
export * from './tally'
