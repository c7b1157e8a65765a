import 'fake-indexeddb/auto'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { DeviceShop } from '~~/shared/device-job'
import type { MachineRow } from '~~/shared/machines'
import { fine, newDevice, refused, sessionOf, shopAnswers, within } from '../../tests/support/screens'
import { localDatabase } from '../local/database'
import { rememberDeviceShop } from '../local/device-shop'
import { useSessionStore } from '../stores/session'
import { useMachineSearch } from './useMachineSearch'

const machine = (id: number, name: string) => ({
  id,
  name,
  tag: `M-${id}`,
  serial: '',
  plate: '',
  owner: 'O',
  model: 'X',
})
const AT = '2026-11-30T07:00:00.000Z'
const HERE = {
  ...{ models: [], lastLeft: [], sets: [], wrenches: [], adapters: [], at: AT },
  machines: [machine(1, 'Lilac scooter'), machine(2, 'Barn generator')],
} as unknown as DeviceShop
const names = (rows: MachineRow[] | null | undefined) => rows?.map(r => r.name)

beforeEach(async () => {
  await (await localDatabase()).clear('device')
  newDevice()
  useSessionStore().begin(sessionOf())
  await rememberDeviceShop(1, HERE)
})
afterEach(() => vi.unstubAllGlobals())

describe('machines as they are typed for', () => {
  it('are the server’s, and where it is away those on this device, with a slip of the finger or not', async () => {
    let away = false
    shopAnswers(() => (away ? 'no answer' : fine([machine(3, 'Lilac mower')])))
    const { it: search, end } = within(useMachineSearch)
    await search.findNow('lilac')
    expect([names(search.found.value), search.fetchedAt.value]).toEqual([['Lilac mower'], null])
    away = true
    await search.findNow('lilc scoter')
    expect([names(search.found.value), search.fetchedAt.value]).toEqual([['Lilac scooter'], AT])
    end()
  })
  it('an answer that the network brings late does not say of a newer one that it is from this device', async () => {
    let giveUp = () => {}
    const first = new Promise<'no answer'>(resolve => {
      giveUp = () => resolve('no answer')
    })
    shopAnswers(({ line }) => (line.includes('q=li') && !line.includes('lilac') ? first : fine([machine(3, 'Lilac')])))
    const { it: search, end } = within(useMachineSearch)
    const early = search.findNow('li')
    await search.findNow('lilac')
    giveUp()
    await early
    expect([names(search.found.value), search.fetchedAt.value]).toEqual([['Lilac'], null])
    end()
  })
  it('what the server refuses is said, and nothing old is shown for it', async () => {
    shopAnswers(() => refused('Sign in first.', 401))
    const { it: search, end } = within(useMachineSearch)
    await search.findNow('lilac')
    expect([search.found.value, search.failed.value]).toEqual([null, 'Sign in first.'])
    end()
  })
})
