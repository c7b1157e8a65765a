import { describe, expect, it } from 'vitest'
import { engineOf, LogBook, pinOf, setOf } from '../../tests/support/builders'
import { tellEnglish } from '../../words'
import { carryRefused, lastInHand } from './carry-over'
import type { Happening } from './events'

const [METRIC, INCH] = [setOf('Set A', [0.1, 0.12, 0.15]), setOf('Inch set', [0.102, 0.127], 'thou')]
const pin = (changes: Parameters<typeof pinOf>[1] = {}) =>
  pinOf(engineOf(), { bladeSet: METRIC, otherSets: [INCH], ...changes })
const trial = (set?: string): Happening => ({
  type: 'trial',
  payload: { valveId: 'intake', bladesMm: [0.1], ...(set ? { set } : {}), feel: 'drag', after: null },
})
const words = (...given: Parameters<typeof carryRefused>) => {
  const refusal = carryRefused(...given)
  return refusal && tellEnglish(refusal)
}
const logOf = (...happened: Happening[]) => {
  const log = new LogBook()
  for (const one of happened) log.add(one)
  return log.events
}

describe('answers that were given in another job of the machine', () => {
  it('mean the same in one that nobody has worked in', () =>
    expect(words(pin(), [trial()], pin(), logOf({ type: 'note', payload: { text: 'Call first' } }))).toBeNull())
  it('are not laid over what somebody has done there: the crank stood elsewhere', () => {
    const log = logOf({ type: 'confirmed', payload: { item: 'safe' } })
    expect(words(pin(), [trial()], pin(), log)).toMatch(/has answered in that job already/)
  })
  it('are not judged by figures that they were not measured against', () => {
    const other = pin({ spec: { ...pin().spec, revisionId: 99, revision: 3 } })
    expect(words(pin(), [], other, [])).toMatch(/goes by revision 3 of the spec, and your answers by revision/)
  })
  it('need the very blades that they were measured with, and only those', () => {
    const thinner = setOf('Set A', [0.08, 0.1])
    const there = pin({ bladeSet: INCH, otherSets: [thinner] })
    expect(words(pin(), [trial()], there, [])).toMatch(/does not have the blade set Set A as it is here/)
    expect(words(pin(), [trial('Inch set')], there, [])).toBeNull()
    expect(words(pin(), [], there, [])).toBeNull()
  })
  it('go on with the blades that were in hand last', () => {
    expect(lastInHand(pin(), [trial()])).toBe('Set A')
    expect(lastInHand(pin(), [{ type: 'blades-taken', payload: { set: 'Inch set' } }, trial()])).toBe('Inch set')
  })
})
