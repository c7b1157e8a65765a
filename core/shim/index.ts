export * from './reuse-shims'
export * from './shim'
