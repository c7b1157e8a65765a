import 'fake-indexeddb/auto'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { newDevice, sessionOf } from '~~/tests/support/screens'
import { shopTakes, uploads } from '~~/tests/support/uploads'
import { localDatabase } from '../local/database'
import { usePhotosStore } from './photos'
import { useSessionStore } from './session'

const picture = () => new Blob(['pixels'], { type: 'image/jpeg' })

beforeEach(async () => {
  const db = await localDatabase()
  await db.clear('photos')
  await db.clear('openings')
  uploads.length = 0
  shopTakes('takes it')
  newDevice()
  useSessionStore().begin(sessionOf())
})
afterEach(() => vi.unstubAllGlobals())

it('without the shop a photo waits on the device, outlives the tab, and goes once under one id', async () => {
  shopTakes('is not there')
  await usePhotosStore().add(4, 12, picture(), () => {})
  expect(usePhotosStore().waiting).toHaveLength(1)
  const { id } = usePhotosStore().waiting[0]!
  // the tab is opened again
  newDevice()
  useSessionStore().begin(sessionOf())
  const photos = usePhotosStore()
  await photos.load()
  expect(photos.waiting.map(p => [p.id, p.machineId, p.jobId])).toEqual([[id, 4, 12]])
  shopTakes('takes it')
  const told: number[] = []
  photos.onTaken(photo => told.push(photo.machineId))
  await Promise.all([photos.flush(), photos.flush()])
  expect(uploads).toEqual([{ path: '/api/jobs/12/photos', id }])
  expect([photos.waiting, told]).toEqual([[], [4]])
})

it('one that the shop refuses is said to whoever chose it, and nothing of it is kept', async () => {
  shopTakes('refuses it')
  await expect(usePhotosStore().add(4, null, picture(), () => {})).rejects.toThrow('This is no picture.')
  expect(usePhotosStore().waiting).toEqual([])
  expect(await (await localDatabase()).getAll('photos')).toEqual([])
})

it('a shop that cannot take it now is no refusal: it waits', async () => {
  shopTakes('has a full disk')
  await usePhotosStore().add(4, null, picture(), () => {})
  expect(usePhotosStore().waiting.map(p => p.refused)).toEqual([null])
})

it('one that waits for somebody else is neither shown nor sent by another', async () => {
  shopTakes('is not there')
  await usePhotosStore().add(4, null, picture(), () => {})
  newDevice()
  useSessionStore().begin(sessionOf({ id: 2, name: 'Sol' }))
  shopTakes('takes it')
  await usePhotosStore().load()
  await usePhotosStore().flush()
  expect([usePhotosStore().waiting, uploads]).toEqual([[], []])
})

it('one of a job that the shop does not know yet waits until it does', async () => {
  const db = await localDatabase()
  await db.put('openings', { jobId: -7, openedAt: '2026-11-29T10:00:00Z' } as never)
  await usePhotosStore().add(0, -7, picture(), () => {})
  expect([uploads, usePhotosStore().waiting.length]).toEqual([[], 1])
  await db.delete('openings', -7)
  await usePhotosStore().flush()
  expect(uploads.map(s => s.path)).toEqual(['/api/jobs/-7/photos'])
  expect(usePhotosStore().waiting).toEqual([])
})

it('a device that can keep nothing sends it at once', async () => {
  const db = await localDatabase()
  vi.spyOn(db, 'put').mockRejectedValue(new DOMException('full', 'QuotaExceededError'))
  await usePhotosStore()
    .add(4, null, picture(), () => {})
    .finally(() => vi.restoreAllMocks())
  expect(uploads).toHaveLength(1)
  expect(usePhotosStore().waiting).toEqual([])
})
