import 'fake-indexeddb/auto'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { newDevice, sessionOf } from '~~/tests/support/screens'
import { localDatabase } from '../local/database'
import { usePhotosStore } from './photos'
import { useSessionStore } from './session'

type Shop = 'takes it' | 'is not there' | 'refuses it' | 'has a full disk'
let shop: Shop
let sent: { path: string; id: string }[] = []

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
      if (shop === 'is not there') return this.onerror()
      sent.push({ path: this.path, id: this.id })
      if (shop !== 'takes it') {
        this.status = shop === 'refuses it' ? 422 : 507
        this.responseText = JSON.stringify({ title: 'This is no picture.', status: this.status })
      }
      this.onload()
    })
  }
}
const picture = () => new Blob(['pixels'], { type: 'image/jpeg' })

beforeEach(async () => {
  const db = await localDatabase()
  await db.clear('photos')
  await db.clear('openings')
  sent = []
  shop = 'takes it'
  newDevice()
  useSessionStore().begin(sessionOf())
  vi.stubGlobal('XMLHttpRequest', Upload)
})
afterEach(() => vi.unstubAllGlobals())

it('without the shop a photo waits on the device, outlives the tab, and goes once under one id', async () => {
  shop = 'is not there'
  await usePhotosStore().add(4, 12, picture(), () => {})
  expect(usePhotosStore().waiting).toHaveLength(1)
  const { id } = usePhotosStore().waiting[0]!
  // the tab is opened again
  newDevice()
  useSessionStore().begin(sessionOf())
  const photos = usePhotosStore()
  await photos.load()
  expect(photos.waiting.map(p => [p.id, p.machineId, p.jobId])).toEqual([[id, 4, 12]])
  shop = 'takes it'
  const told: number[] = []
  photos.onTaken(photo => told.push(photo.machineId))
  await Promise.all([photos.flush(), photos.flush()])
  expect(sent).toEqual([{ path: '/api/jobs/12/photos', id }])
  expect([photos.waiting, told]).toEqual([[], [4]])
})

it('one that the shop refuses is said to whoever chose it, and nothing of it is kept', async () => {
  shop = 'refuses it'
  await expect(usePhotosStore().add(4, null, picture(), () => {})).rejects.toThrow('This is no picture.')
  expect(usePhotosStore().waiting).toEqual([])
  expect(await (await localDatabase()).getAll('photos')).toEqual([])
})

it('a shop that cannot take it now is no refusal: it waits', async () => {
  shop = 'has a full disk'
  await usePhotosStore().add(4, null, picture(), () => {})
  expect(usePhotosStore().waiting.map(p => p.refused)).toEqual([null])
})

it('one that waits for somebody else is neither shown nor sent by another', async () => {
  shop = 'is not there'
  await usePhotosStore().add(4, null, picture(), () => {})
  newDevice()
  useSessionStore().begin(sessionOf({ id: 2, name: 'Sol' }))
  shop = 'takes it'
  await usePhotosStore().load()
  await usePhotosStore().flush()
  expect([usePhotosStore().waiting, sent]).toEqual([[], []])
})

it('one of a job that the shop does not know yet waits until it does', async () => {
  const db = await localDatabase()
  await db.put('openings', { jobId: -7, openedAt: '2026-11-29T10:00:00Z' } as never)
  await usePhotosStore().add(0, -7, picture(), () => {})
  expect([sent, usePhotosStore().waiting.length]).toEqual([[], 1])
  await db.delete('openings', -7)
  await usePhotosStore().flush()
  expect(sent.map(s => s.path)).toEqual(['/api/jobs/-7/photos'])
  expect(usePhotosStore().waiting).toEqual([])
})

it('a device that can keep nothing sends it at once', async () => {
  const db = await localDatabase()
  vi.spyOn(db, 'put').mockRejectedValue(new DOMException('full', 'QuotaExceededError'))
  await usePhotosStore()
    .add(4, null, picture(), () => {})
    .finally(() => vi.restoreAllMocks())
  expect(sent).toHaveLength(1)
  expect(usePhotosStore().waiting).toEqual([])
})
