export * from './robot'
export * from './tally'
