import equal from 'fast-deep-equal'
import { say } from '../../core/said'
import type { Was } from '../../shared/change'
import { Problem } from '../problem'

/**
 * What a form sent, laid over the record as it is now: fields that the form left as it found them stay as they are,
 * whoever changed them meanwhile.
 * @param was what the form was begun from; without it all that was sent is meant as it is
 * @throws Problem changed-meanwhile for fields that both changed, each with what stands there now
 */
export function laidOver<T extends object>(now: T, { was, ...sent }: T & { was?: Was }): Omit<T, 'was'> {
  const fields = Object.keys(sent) as (keyof typeof sent)[]
  if (!was) return sent
  const seen = (field: (typeof fields)[number]): unknown => was[field as string]
  const touched = fields.filter(f => !(f in was) || !equal(sent[f], seen(f)))
  const clash = touched.filter(f => f in was && !equal(now[f], seen(f)) && !equal(now[f], sent[f]))
  if (clash.length > 0)
    throw new Problem('changed-meanwhile', say('refused.changed-meanwhile'), {
      fields: clash.map(f => ({
        field: String(f),
        message: say('wrong.changed-meanwhile', { now: asTyped(f, now[f]) }),
      })),
    })
  return Object.fromEntries(fields.map(f => [f, touched.includes(f) ? sent[f] : now[f]])) as typeof sent
}
/** What a list has words for, and not this place. */
const OF_A_LIST = ['language', 'unit', 'meterUnit', 'kind', 'timeZone']
/** What stands there, where it stands there as it is typed. */
const asTyped = (field: PropertyKey, value: unknown): string | null =>
  typeof value === 'string' && !OF_A_LIST.includes(String(field)) ? value : null
