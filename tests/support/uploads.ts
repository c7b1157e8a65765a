import { vi } from 'vitest'

export type Taking = 'takes it' | 'is not there' | 'refuses it' | 'has a full disk'
/** What was uploaded, in order: to where, and under which id. */
export const uploads: { path: string; id: string }[] = []
let taking: Taking = 'takes it'

/** A browser's upload, with a shop behind it that takes the file or does not. */
class Upload {
  upload = {}
  onload = (): void => {}
  onerror = (): void => {}
  status = 200
  responseText = '{"id":3}'
  private path = ''
  private id = ''
  open(_: string, path: string) {
    this.path = path
  }
  setRequestHeader(name: string, value: string) {
    if (name === 'idempotency-key') this.id = value
  }
  abort() {}
  send() {
    queueMicrotask(() => {
      if (taking === 'is not there') return this.onerror()
      uploads.push({ path: this.path, id: this.id })
      if (taking !== 'takes it') {
        this.status = taking === 'refuses it' ? 422 : 507
        this.responseText = JSON.stringify({ title: 'This is no picture.', status: this.status })
      }
      this.onload()
    })
  }
}

/** From now on the shop does this with a file; until the globals are given back. */
export function shopTakes(how: Taking): void {
  taking = how
  vi.stubGlobal('XMLHttpRequest', Upload)
}
