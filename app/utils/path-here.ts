/**
 * Where somebody goes on after the door, on this server alone: an address that leads elsewhere is the first page. It is
 * read as the browser reads it: “/\\elsewhere” and “/.//elsewhere” name another server too.
 */
export function pathHere(back: unknown): string {
  if (typeof back !== 'string') return '/'
  try {
    const { origin, pathname, search, hash } = new URL(back, location.origin)
    return origin === location.origin && !pathname.startsWith('//') ? pathname + search + hash : '/'
  } catch {
    return '/'
  }
}
