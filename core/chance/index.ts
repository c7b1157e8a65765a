export * from './normal'
