import { afterAll } from 'vitest'

/**
 * App tests share a document: what one file leaves to be done later (an outbox that tries again, a page that asks now
 * and then) would ask in the middle of another, and what it chose on the device, as shortcuts off, would hold there.
 * Both end with their file.
 */
const pending = new Set<ReturnType<typeof setTimeout>>()
const [later, often] = [globalThis.setTimeout, globalThis.setInterval]
const noted =
  (make: typeof setTimeout) =>
  (...given: Parameters<typeof setTimeout>) => {
    const timer = make(...given)
    pending.add(timer)
    return timer
  }
Object.assign(globalThis, { setTimeout: noted(later), setInterval: noted(often as typeof setTimeout) })

afterAll(() => {
  for (const timer of pending) clearTimeout(timer)
  pending.clear()
  localStorage.clear()
  Object.assign(globalThis, { setTimeout: later, setInterval: often })
})
