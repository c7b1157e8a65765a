import { devicePin, pinnedMachine } from '~~/core/job/device-pin'
import { deviceJobId } from '~~/shared/device-job'
import type { OpenJobRequest } from '~~/shared/jobs'
import type { MachineRow } from '~~/shared/machines'
import { api, isAway } from '../utils/api'
import { t } from '../words'
import { useBeginHere } from './useBeginHere'
import { useDeviceShop } from './useDeviceShop'

/** Opens a job on a machine of the shop: at the server, and where nobody answers on this device. */
export function useNewJob() {
  const device = useDeviceShop()
  const here = useBeginHere()

  async function beginHere(machine: MachineRow, request: OpenJobRequest & { id: number }): Promise<{ id: number }> {
    const shop = await device.known()
    const model = shop?.models.find(m => m.id === machine.modelId)
    const set = shop?.sets.find(s => s.id === request.bladeSetId)
    if (!shop || !model || !set) throw new Error(t('new-job.not-on-this-device'))
    const { openedAt, openedBy, ways } = here.now()
    const { id: _, ...bladeSet } = set
    const left = shop.lastLeft.find(l => l.machineId === machine.id)
    const pin = devicePin({
      jobId: request.id,
      machine: pinnedMachine(machine, request),
      modelName: model.name,
      modelId: model.id,
      spec: model.spec,
      bladeSet,
      shelf: {
        otherSets: shop.sets.filter(s => s.id !== set.id).map(({ id: __, ...other }) => other),
        wrenches: shop.wrenches,
        adapters: shop.adapters,
      },
      ways,
      complaint: request.complaint,
      complaints: request.complaints,
      openedAt,
      openedBy,
      lastAsLeft: left ? { date: left.date, readings: left.readings } : null,
    })
    return { id: await here.begin(pin, { kind: 'job', request: { ...request, openedAt } }) }
  }
  /** @throws Refused or Error in words */
  async function open(machine: MachineRow, request: OpenJobRequest): Promise<{ id: number }> {
    // one id by either way: where only the reply was lost, the server knows the job that begins here as its own
    const named = { ...request, id: deviceJobId() }
    try {
      return await api('POST /api/jobs', { body: named })
    } catch (error) {
      if (isAway(error)) return beginHere(machine, named)
      throw error
    }
  }
  return { open }
}
