export * from './wrench-setting'
