import type { DueReason } from '../../core/history'
import type { MachineCounts, MachineListRequest, MachineRow } from '../../shared/machines'
import { type Db, many, one } from '../database/query'
import { likeOf, MACHINE } from './machines'

/** Moments that say what is over and what is due soon. */
export interface DueBounds {
  today: Date
  soon: Date
}
export type ListedMachine = MachineRow & { dueAt: Date | null; reasons: DueReason[] }

const FROM = `
  FROM machines m
  JOIN customers c ON c.shop_id = m.shop_id AND c.id = m.customer_id
  JOIN engine_models e ON e.shop_id = m.shop_id AND e.id = m.model_id
  LEFT JOIN machine_due d ON d.shop_id = m.shop_id AND d.machine_id = m.id`
const OPEN_JOB = `EXISTS (
  SELECT 1 FROM jobs j FORCE INDEX (jobs_machine)
  WHERE j.shop_id = m.shop_id AND j.machine_id = m.id AND j.status IN ('open', 'held'))`
const VISITED_AT = `GREATEST(
  COALESCE((SELECT MAX(j.opened_at) FROM jobs j FORCE INDEX (jobs_machine)
    WHERE j.shop_id = m.shop_id AND j.machine_id = m.id AND j.status = 'closed'), '1000-01-01'),
  COALESCE((SELECT MAX(v.at) FROM past_visits v WHERE v.shop_id = m.shop_id AND v.machine_id = m.id), '1000-01-01'))`
const NEVER_VISITED = `NOT EXISTS (
    SELECT 1 FROM jobs j FORCE INDEX (jobs_machine)
    WHERE j.shop_id = m.shop_id AND j.machine_id = m.id AND j.status = 'closed')
  AND NOT EXISTS (SELECT 1 FROM past_visits v WHERE v.shop_id = m.shop_id AND v.machine_id = m.id)`

type Where = { sql: string; with: (string | number | Date)[] }
const both = (...parts: Where[]): Where => ({
  sql: parts.map(p => p.sql).join(' AND '),
  with: parts.flatMap(p => p.with),
})

function lookedFor(shopId: number, { q, owner, kind }: MachineListRequest): Where {
  const text = q.trim()
  const like = likeOf(text)
  return both(
    { sql: 'm.shop_id = ? AND NOT m.quick', with: [shopId] },
    ...(owner ? [{ sql: 'm.customer_id = ?', with: [owner] }] : []),
    ...(kind ? [{ sql: 'e.kind = ?', with: [kind] }] : []),
    ...(text
      ? [
          {
            sql: `(m.name LIKE ? OR m.tag LIKE ? OR m.plate LIKE ? OR m.serial LIKE ? OR c.name LIKE ?
              OR CONCAT(e.maker, ' ', e.model) LIKE ?)`,
            with: Array<string>(6).fill(like),
          },
        ]
      : []),
  )
}

const shown = (show: MachineListRequest['show'], { today, soon }: DueBounds): Where[] => {
  switch (show) {
    case 'all':
      return []
    case 'here':
      return [{ sql: OPEN_JOB, with: [] }]
    case 'over':
      return [{ sql: 'd.due_at < ?', with: [today] }]
    case 'soon':
      return [{ sql: 'd.due_at >= ? AND d.due_at < ?', with: [today, soon] }]
    case 'new':
      return [{ sql: NEVER_VISITED, with: [] }]
  }
}

const ORDER: Record<MachineListRequest['sort'], string> = {
  name: 'm.name',
  owner: 'c.name',
  visit: VISITED_AT,
  due: 'd.due_at',
}
/** What has no date stands last, whichever way the rest is sorted. */
const withoutLast: Partial<Record<MachineListRequest['sort'], string>> = {
  visit: `${VISITED_AT} < '1001-01-01', `,
  due: 'd.due_at IS NULL, ',
}

/** One page of the shop's machines, and how many there are by what stands with them. */
export async function pageOfMachines(
  db: Db,
  shopId: number,
  asked: MachineListRequest,
  bounds: DueBounds,
): Promise<{ rows: ListedMachine[]; counts: MachineCounts }> {
  const all = lookedFor(shopId, asked)
  const those = both(all, ...shown(asked.show, bounds))
  const way = asked.down === 'yes' ? 'DESC' : 'ASC'
  const rows = await many<Omit<ListedMachine, 'reasons'> & { reasons: string | null }>(
    db,
    `SELECT ${MACHINE}, d.due_at AS dueAt, d.reasons ${FROM}
  LEFT JOIN spec_revisions r ON r.shop_id = e.shop_id AND r.id = e.in_force_id
  WHERE ${those.sql}
  ORDER BY ${withoutLast[asked.sort] ?? ''}${ORDER[asked.sort]} ${way}, m.name, m.id LIMIT ? OFFSET ?`,
    [...those.with, asked.most, asked.from],
  )
  const counted = await one<Record<`n${string}`, number>>(
    db,
    `SELECT COUNT(*) AS nAll, COALESCE(SUM(${OPEN_JOB}), 0) AS nHere, COALESCE(SUM(d.due_at < ?), 0) AS nOver,
    COALESCE(SUM(d.due_at >= ? AND d.due_at < ?), 0) AS nSoon, COALESCE(SUM(${NEVER_VISITED}), 0) AS nNew
    ${FROM} WHERE ${all.sql}`,
    [bounds.today, bounds.today, bounds.soon, ...all.with],
  )
  const count = (name: `n${string}`) => Number(counted[name])
  return {
    rows: rows.map(row => ({ ...row, reasons: row.reasons ? (JSON.parse(row.reasons) as DueReason[]) : [] })),
    counts: {
      all: count('nAll'),
      here: count('nHere'),
      over: count('nOver'),
      soon: count('nSoon'),
      new: count('nNew'),
    },
  }
}

/** Kinds of engine that machines of the shop have. */
export const kindsOfMachines = async (db: Db, shopId: number): Promise<string[]> =>
  (
    await many<{ kind: string }>(
      db,
      `SELECT DISTINCT e.kind FROM engine_models e
    WHERE e.shop_id = ? AND e.kind <> '' AND EXISTS
      (SELECT 1 FROM machines m WHERE m.shop_id = e.shop_id AND m.model_id = e.id) ORDER BY e.kind`,
      [shopId],
    )
  ).map(r => r.kind)
