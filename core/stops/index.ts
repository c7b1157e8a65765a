export * from './plan-stops'
