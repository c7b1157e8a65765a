import type { NextTagResponse } from '../../../shared/machines'
import type { Db } from '../../database/query'
import { machineByTag, newestTags } from '../../repositories/machines'

/** The tags that a shop gave last say how it numbers. From memory: a drawer of printed ones. */
const LOOKED_AT = 200
/** A shop that has none yet begins so. */
const FIRST = { before: 'M-', number: 1, digits: 4 }

interface Numbered {
  before: string
  number: number
  digits: number
}
function numbered(tag: string): Numbered[] {
  const [, before = '', digits = ''] = /^(.*?)(\d{1,9})$/.exec(tag) ?? []
  return digits === '' ? [] : [{ before, number: Number(digits), digits: digits.length }]
}

/** What would follow the tags of a shop: the highest number of the beginning that most of them have, one further. */
function following(tags: readonly string[]): Numbered {
  const byBeginning = new Map<string, Numbered[]>()
  for (const tag of tags.flatMap(numbered)) byBeginning.set(tag.before, [...(byBeginning.get(tag.before) ?? []), tag])
  const [usual] = [...byBeginning.values()].sort((a, b) => b.length - a.length)
  if (!usual) return FIRST
  const highest = usual.reduce((a, b) => (b.number > a.number ? b : a))
  return { ...highest, number: highest.number + 1 }
}

/** A tag that no machine of the shop has, as the shop numbers them. It is offered, and not kept for anybody. */
export async function nextTag(db: Db, shopId: number): Promise<NextTagResponse> {
  const { before, number, digits } = following(await newestTags(db, shopId, LOOKED_AT))
  for (let n = number; ; n++) {
    const tag = `${before}${String(n).padStart(digits, '0')}`
    if (!(await machineByTag(db, shopId, tag))) return { tag }
  }
}
