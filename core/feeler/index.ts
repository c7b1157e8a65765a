export * from './interval'
export * from './judge'
export * from './next-blade'
export * from './trial'
