import { describe, expect, it } from 'vitest'
import { engineOf } from '../../tests/support/builders'
import { twinOf } from '../../tests/support/engines'
import { tellEnglish } from '../../words'
import type { Place } from '../engine'
import { say } from '../said'
import { effectsOf, locate, locateMemory, locateWithout, type Noted, type Observation, positionModel } from '.'

const COMPRESSION = say('place.of-cycle', { stroke: 'compression', cylinder: null, pastDeg: 0 })

const T: Place = { kind: 'mark', markIndex: 0 }
const rocker = (valveId: string, slack: boolean): Observation => ({ kind: 'rocker', valveId, slack })
const noted = (...observations: Observation[]): Noted[] =>
  observations.map((observation, i) => ({ id: `o${i}`, observation }))

describe('what each answer did', () => {
  const model = positionModel(engineOf())
  it('T halves where it may be, the first rocker tells the stroke, the second makes sure', () => {
    const [toT, first, second] = effectsOf(
      model,
      noted({ kind: 'move', to: T }, rocker('intake', true), rocker('exhaust', true)),
    )
    expect(toT).toMatchObject({ before: null, bits: 0, clashes: false })
    expect(toT!.after!.probability).toBeLessThan(0.6)
    expect(first!.bits).toBeGreaterThan(0.4)
    expect(second).toMatchObject({ after: { name: COMPRESSION } })
    expect(second!.after!.probability).toBeGreaterThan(first!.after!.probability)
  })
  it('an answer that a later one replaced counts for nothing, and says so', () => {
    const [, replaced, now] = effectsOf(
      model,
      noted({ kind: 'move', to: T }, rocker('intake', false), rocker('intake', true)),
    )
    expect(replaced).toMatchObject({ idle: 'replaced', bits: 0 })
    expect(now!.idle).toBeNull()
  })
  it('a feel after a backward turn counts for nothing, and says so', () => {
    expect(
      effectsOf(model, noted({ kind: 'move', to: T }, { kind: 'turn', deg: -20 }, rocker('intake', true)))[2],
    ).toMatchObject({ idle: 'turned back', bits: 0 })
  })
  it('ends where locate ends, with snapshots or without', () => {
    const twin = positionModel(twinOf(180))
    const list = noted(
      { kind: 'move', to: T },
      rocker('l-intake', false),
      rocker('l-exhaust', false),
      { kind: 'turns', turns: 1, to: T },
      rocker('l-intake', true),
    )
    const memory = locateMemory()
    locate(twin, list, { memory })
    const last = effectsOf(twin, list, memory).at(-1)!.after
    expect(last!.name).toEqual(locate(twin, list).arcs[0]!.name)
    expect(effectsOf(twin, list)).toEqual(effectsOf(twin, list, memory))
  })
})

describe('one taken out, to see', () => {
  const model = positionModel(engineOf())
  const list = noted({ kind: 'move', to: T }, rocker('intake', true), rocker('exhaust', true))
  it('a feel is left out as if it had not been said', () => {
    expect(locateWithout(model, list, n => n.id === 'o2').belief.mass).toEqual(
      locate(model, list.slice(0, 2)).belief.mass,
    )
  })
  it('a turn that is left out is not undone: nobody knows how far it was', () => {
    const more = [...list, { id: 'on', observation: { kind: 'turns', turns: 1, to: T } as const }]
    expect(tellEnglish(locateWithout(model, more, n => n.id === 'on').arcs[0]!.name)).toBe('anywhere')
  })
})
