/** Where a browser does not say when it is idle: between two pieces of work. */
const BETWEEN_MS = 60

/** Does a piece of work once the page has nothing else to do: what is on the way to the screen comes first. */
export function whenIdle(work: () => void): void {
  if ('requestIdleCallback' in window) window.requestIdleCallback(work)
  else globalThis.setTimeout(work, BETWEEN_MS)
}
