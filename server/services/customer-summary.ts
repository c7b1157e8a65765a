import { whenWords, whyWords } from '../../core/history'
import { daysIn, formatMeter } from '../../core/units'
import type { CustomerSummary } from '../../shared/machines'
import type { Db } from '../database/query'
import { notFound } from '../problem'
import { customerById, machinesOfCustomer } from '../repositories/customers'
import { shopById } from '../repositories/shops'
import { t, tell } from '../words'
import { readMachine } from './machines/memory'

/** A year of an owner's machines: what was done on which day, and what comes next. Years by the shop's clock. */
export async function customerSummary(
  db: Db,
  shopId: number,
  customerId: number,
  year: number,
  now: Date,
): Promise<CustomerSummary> {
  const customer = await customerById(db, shopId, customerId)
  if (!customer) throw notFound('owner')
  const { name: shop, timeZone } = await shopById(db, shopId)
  const dayOf = daysIn(timeZone)
  const dayIn = (iso: string) => dayOf(new Date(iso))
  const machines: CustomerSummary['machines'] = []
  for (const { id } of await machinesOfCustomer(db, shopId, customerId)) {
    const seen = await readMachine(db, shopId, id, now).catch(() => null)
    if (!seen) continue
    const { machine, visits, due, firstMeter, records, valves } = seen
    const name = (valveId: string) => valves.find(v => v.valveId === valveId)?.name ?? valveId
    machines.push({
      id,
      name: machine.name,
      tag: machine.tag,
      model: machine.model,
      visits: visits
        .filter(v => dayIn(v.at).startsWith(`${year}-`))
        .map(v => ({
          day: dayIn(v.at),
          number: v.number,
          meter: v.meter === null ? t('summary.not-read') : formatMeter(v.meter, machine.meterUnit),
          words: v.words,
        }))
        .reverse(),
      records: records
        .filter(r => dayIn(r.at).startsWith(`${year}-`))
        .map(r => ({ day: dayIn(r.at), words: r.words }))
        .reverse(),
      due: due ? tell(whenWords(due.first, firstMeter, machine.meterUnit)) : t('summary.not-enough'),
      why: tell(whyWords(due, name, now.getTime())),
    })
  }
  return {
    shop,
    year,
    customer: { id: customer.id, name: customer.name, contact: customer.contact },
    machines,
    today: dayIn(now.toISOString()),
  }
}
