import { vi } from 'vitest'
import { forgetStore } from './database'

/** A browser whose store is not to be had: forbidden, or full. @returns how to allow it again */
export function storeRefuses(): () => void {
  forgetStore()
  const open = vi.spyOn(IDBFactory.prototype, 'open').mockImplementation(() => {
    throw new DOMException('The user denied permission to access the database.', 'SecurityError')
  })
  return () => {
    open.mockRestore()
    forgetStore()
  }
}
/** A request of a browser's store that never ends, one way or the other. */
export const endless = <T extends IDBRequest>(kind: { prototype: T }): T =>
  Object.assign(Object.create(kind.prototype) as T, { addEventListener() {}, removeEventListener() {} })
/** A browser whose store neither opens nor fails, ever. @returns how to let it answer again */
export function storeIsSilent(): () => void {
  forgetStore()
  const open = vi.spyOn(IDBFactory.prototype, 'open').mockImplementation(() => endless(IDBOpenDBRequest))
  return () => {
    open.mockRestore()
    forgetStore()
  }
}
