import 'fake-indexeddb/auto'
import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { fine, newDevice, refused, sessionOf, shopAnswers, within } from '~~/tests/support/screens'
import { shopTakes, uploads } from '~~/tests/support/uploads'
import { localDatabase } from '../local/database'
import { useSessionStore } from '../stores/session'
import { usePhotos } from './usePhotos'

const picture = (bytes = 6) => new File([new Uint8Array(bytes)], 'head.jpg', { type: 'image/jpeg' })
const row = (id: number, jobId: number | null) => ({ id, jobId, caption: '', person: 'Ada', madeAt: '2026-11-30' })

beforeEach(async () => {
  const db = await localDatabase()
  await Promise.all([db.clear('photos'), db.clear('openings')])
  uploads.length = 0
  newDevice()
  useSessionStore().begin(sessionOf())
  shopTakes('takes it')
})
afterEach(() => vi.unstubAllGlobals())

async function strip(given: Parameters<typeof usePhotos>[0]) {
  const { it: photos, end } = within(() => usePhotos(given))
  await flushPromises()
  return { photos, end }
}

describe('photos beside a job', () => {
  it('are those of this job alone; a machine’s page has those of all its jobs', async () => {
    shopAnswers(() => fine([row(1, 12), row(2, null), row(3, 13)]))
    const job = await strip({ machineId: 4, jobId: 12 })
    expect(job.photos.photos.value.map(p => p.id)).toEqual([1])
    const machine = await strip({ machineId: 4 })
    expect(machine.photos.photos.value.map(p => p.id)).toEqual([1, 2, 3])
    job.end()
    machine.end()
  })
  it('one that is taken is shown when the shop has it, and only where it belongs', async () => {
    let asked = 0
    shopAnswers(() => {
      asked++
      return fine([row(1, 12)])
    })
    const here = await strip({ machineId: 4, jobId: 12 })
    const elsewhere = await strip({ machineId: 4, jobId: 13 })
    const before = asked
    await here.photos.take(picture())
    await flushPromises()
    expect([uploads.map(u => u.path), asked - before]).toEqual([['/api/jobs/12/photos'], 1])
    expect(here.photos.part.value).toBeNull()
    here.end()
    elsewhere.end()
  })
  it('one that waits is shown from the device, and its address is given back when it is gone', async () => {
    shopTakes('is not there')
    shopAnswers(() => 'no answer')
    const given = vi.spyOn(URL, 'revokeObjectURL')
    const { photos, end } = await strip({ machineId: 4, jobId: 12 })
    await photos.take(picture())
    const [waiting] = photos.waiting.value
    expect(waiting?.address).toMatch(/^blob:/)
    expect(photos.failed.value, 'no network is no mistake of the mechanic’s').toBe('')
    await photos.discard(waiting!.id)
    await flushPromises()
    expect([photos.waiting.value, given.mock.calls]).toEqual([[], [[waiting!.address]]])
    end()
  })
  it('one that no browser can make smaller and the shop would not take is refused before it is sent', async () => {
    shopAnswers(() => fine([]))
    const { photos, end } = await strip({ machineId: 4 })
    await photos.take(picture(6 * 1024 * 1024))
    expect([uploads, photos.failed.value]).toEqual([[], expect.stringContaining('6.0 MB')])
    await photos.take(picture())
    expect([uploads.length, photos.failed.value]).toEqual([1, ''])
    end()
  })
  it('one that cannot be removed stays, with the reason', async () => {
    shopAnswers(({ line }) =>
      line.startsWith('DELETE') ? refused('There is no such photo.', 404) : fine([row(1, 12)]),
    )
    const { photos, end } = await strip({ machineId: 4, jobId: 12 })
    await photos.drop(1)
    expect([photos.photos.value.length, photos.failed.value]).toEqual([1, 'There is no such photo.'])
    end()
  })
})
