export * from './plan-stops'
export * from './school'
