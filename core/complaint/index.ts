export * from './complaint'
export * from './pressure'
