export * from './fit'
export * from './machines'
