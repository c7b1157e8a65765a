export * from './plan-day'
