export * from './book'
export * from './cells'
export * from './columns'
