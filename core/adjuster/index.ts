export * from './screw-turn'
