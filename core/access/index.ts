export * from './part'
export * from './strip'
export * from './thread-torque'
export * from './making-safe'
