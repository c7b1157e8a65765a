import { type Happening, type JobEvent, type JobPin, jobTools, viewJob } from '../../core/job'
import { VirtualHand, workThrough } from '../../core/practice'
import type { MachineRow } from '../../shared/machines'
import { engineOf } from './builders'
import { pool } from './database'
import type { Client } from './server'
import { virtualFor } from './whole-job'

export const unique = () => Math.random().toString(36).slice(2, 9)
const DAY_MS = 86_400_000
export const dayAgo = (days: number): string => new Date(Date.now() - days * DAY_MS).toISOString().slice(0, 10)

/** A machine of a model of its own, or of one that is there. */
export async function newMachine(
  client: Client,
  modelId?: number,
  changes: Record<string, unknown> = {},
): Promise<MachineRow> {
  const model =
    modelId ??
    (
      await client.post<{ id: number }>('/api/models', {
        maker: 'Aged',
        model: `A ${unique()}`,
        engine: engineOf(),
        approveBecause: 'only lead',
      })
    ).body.id
  return (
    await client.post<MachineRow>('/api/machines', {
      name: 'Aged one',
      tag: `A-${unique()}`,
      modelId: model,
      meterUnit: 'km',
      customer: { name: 'A. Owner' },
      ...changes,
    })
  ).body
}

export async function openJob(
  client: Client,
  machine: { id: number },
  meter: number | null,
  more: Record<string, unknown> = {},
) {
  const sets = (await client.get<{ id: number }[]>('/api/blade-sets')).body
  return client.post<{ id: number }>('/api/jobs', {
    machineId: machine.id,
    bladeSetId: sets[0]!.id,
    meter,
    complaint: 'due',
    ...more,
  })
}

/** Works an open job through to its signature, on an engine with these gaps. @param first is answered before that */
export async function workJob(
  client: Client,
  id: number,
  gapMm: Record<string, number>,
  first: Happening[] = [],
): Promise<void> {
  const { pin } = (await client.get<{ pin: JobPin }>(`/api/jobs/${id}?after=0`)).body
  const tools = jobTools(pin)
  const log: JobEvent[] = []
  const answer = async (happening: Happening) => {
    const { status, body } = await client.answer<{ event: JobEvent }>(id, happening)
    if (status !== 200) throw new Error(JSON.stringify(body))
    log.push(body.event)
  }
  for (const happening of first) await answer(happening)
  await workThrough(
    new VirtualHand(virtualFor(pin.spec.engine, { gapMm })),
    () => viewJob(tools, log, Date.now()),
    answer,
  )
}

/** A whole job on a machine at a meter reading, so many days ago, with these gaps found. */
export async function visit(
  client: Client,
  machine: MachineRow,
  meter: number | null,
  daysAgo: number,
  gapMm: Record<string, number>,
  replaced = false,
  /** What is answered before the work goes through. */
  first: Happening[] = [],
): Promise<number> {
  const { id } = (await openJob(client, machine, meter, { meterReplaced: replaced })).body
  await workJob(client, id, gapMm, first)
  const at = new Date(Date.now() - daysAgo * DAY_MS)
  await pool.query('UPDATE jobs SET opened_at = ?, closed_at = ? WHERE id = ?', [at, at, id])
  await pool.query("UPDATE meter_readings SET at = ? WHERE source = 'job' AND source_id = ?", [at, id])
  return id
}
