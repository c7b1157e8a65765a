import type { Engine } from '../core/engine'
import type { JobPin } from '../core/job/pin'
import { z } from '../core/zod'
import type { MachineRow } from './machines'
import type { BladeSetRow } from './shelf'
import type { ModelHit } from './spec-book'

/** As far below zero as a number is exact: ids that a device gives to the jobs that begin on it. */
const LOWEST_ID = -(2 ** 52)
export const deviceJobIdSchema = z.int().min(LOWEST_ID).max(-1)
/**
 * An id for a job that begins on this device, below zero. Two devices that draw the same of 2^52 are not expected in
 * the life of a shop; the server refuses the second.
 */
export const deviceJobId = (random: () => number = Math.random): number =>
  -1 - Math.floor(random() * 2 ** 26) * 2 ** 26 - Math.floor(random() * 2 ** 26)

/** When a job began, by the device that it began on. */
export const openedAtSchema = z.iso.datetime({ offset: true })

/** What of the shop a device keeps, so that jobs on its machines begin without a server. */
export interface DeviceShop {
  machines: MachineRow[]
  /** The spec in force of each model that one of the machines has. */
  models: { id: number; name: string; hit: ModelHit; spec: JobPin['spec'] & { engine: Engine } }[]
  /** How each machine's last visit left its valves, where it had one. */
  lastLeft: { machineId: number; date: string; readings: NonNullable<JobPin['lastAsLeft']>['readings'] }[]
  sets: BladeSetRow[]
  wrenches: JobPin['wrenches']
  adapters: JobPin['adapters']
  at: string
}
