export * from './quick-engine'
export * from './said-clearances'
