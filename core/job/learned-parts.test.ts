import { describe, expect, it } from 'vitest'
import { engineOf, pinOf } from '../../tests/support/builders'
import { ready, said } from '../../tests/support/job-book'
import { partsSchema, plainPart } from '../access'
import { learnedParts } from './learned-parts'
import { partsToRemove } from './strip-down'

const OFF = ['Seat', 'Left fairing', 'Fuel hose', 'Plug lead', 'Spark plug', 'Rocker cover']
const learn = (engine = engineOf()) => {
  const { pin, state } = ready(said(engine), OFF)
    .say(
      { type: 'gasket', payload: { choice: 'new', note: '', item: 'Rocker cover' } },
      { type: 'went-back', payload: { item: 'Rocker cover' } },
      { type: 'torqued', payload: { what: 'cover', torqueNm: 11 } },
    )
    .view()
  return learnedParts(pin, state)
}

describe('what a model learns from its first job', () => {
  it('each part that came off, in its order, of the kind that its name says', () => {
    const { parts } = learn()!
    expect(parts.map(p => [p.name, p.kind])).toEqual([
      ['Seat', 'panel'],
      ['Left fairing', 'panel'],
      ['Fuel hose', 'hose'],
      ['Plug lead', 'plug lead'],
      ['Spark plug', 'spark plug'],
      ['Rocker cover', 'cover'],
    ])
    expect(partsSchema.parse(parts)).toEqual(parts)
  })
  it('with the torque it got, the gasket that went on, and its cylinder', () => {
    const { parts } = learn()!
    expect(parts.at(-1)).toMatchObject({ torqueNm: 11, seal: { kind: 'gasket', clean: true } })
    expect(parts[3]).toMatchObject({ cylinderId: 'only' })
  })
  it('the next job on the model takes off just these', () => {
    const { parts } = learn()!
    expect(partsToRemove(engineOf({ parts })).map(p => p.name)).toEqual(OFF)
  })
  it('a model that has its list keeps it; a job that took nothing off teaches nothing', () => {
    expect(learn(engineOf({ parts: [plainPart('Cover', 'cover')] }))).toBeNull()
    expect(learnedParts(pinOf(), { cameOff: [], torqued: {}, gaskets: {} })).toBeNull()
  })
})
