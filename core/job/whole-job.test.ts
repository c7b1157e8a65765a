import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { engineOf } from '../../tests/support/builders'
import { sheet } from '../../tests/support/told'
import { wholeJob } from '../../tests/support/whole-job'
import { limitsOf } from '../feeler'
import { clearanceOf } from './index'

/** In spec as a hand can know it: at the loose end a drag may leave its own width. */
const inSpec = (gap: number, minMm: number, maxMm: number): boolean => gap >= minMm - 1e-6 && gap < maxMm + 0.015
const ends = async (...given: Parameters<typeof wholeJob>) => {
  const done = await wholeJob(...given)
  for (const role of ['intake', 'exhaust'] as const) {
    const { minMm, maxMm } = limitsOf(clearanceOf(done.view.pin, role))!
    expect(
      inSpec(done.virtual.gapMm[role]!, minMm, maxMm),
      `${role} at ${done.virtual.gapMm[role]}\n${done.story.join('\n')}`,
    ).toBe(true)
  }
  return done
}

describe('a whole job by what the core says alone', () => {
  it.each([0, 180, 360, 540, 359.5])(
    'from the crank at %d° ends signed, with every valve truly in spec',
    async crankDeg => {
      const { view, story } = await ends(engineOf(), { crankDeg })
      expect(view.state.status).toBe('closed')
      expect(story.filter(line => line.startsWith('set:'))).toEqual([])
    },
  )
  it('backs out a tight exhaust whose lock creeps, and proves it', async () => {
    const { view } = await ends(engineOf(), { gapMm: { intake: 0.1, exhaust: 0.05 }, creepMm: -0.006 })
    const exhaust = sheet(view).valves.find(v => v.valveId === 'exhaust')!
    expect(exhaust.asFound?.verdict).toBe('tight')
    expect(exhaust.asLeft?.verdict).toBe('in')
    expect(exhaust.rounds.at(-1)?.torqued).not.toBe('')
  })
  it('a decompressor that holds the exhaust at the top never gets its screw backed off', async () => {
    const engine = engineOf({ marks: [], decompressor: { kind: 'arc', role: 'exhaust', fromDeg: -120, toDeg: 10 } })
    const { story } = await ends(engine, { held: [-120, 10] })
    expect(story.some(line => line.startsWith('set:'))).toBe(false)
    expect(story.some(line => line.includes('6 mm past top'))).toBe(true)
  })
  it('a model whose decompressor is not known is read past top, with or without one', async () => {
    for (const held of [null, [-120, 10] as [number, number]]) {
      const { story } = await ends(engineOf({ decompressor: { kind: 'unknown' } }), { held })
      expect(story.some(line => line.startsWith('set:'))).toBe(false)
    }
  })
  it('two valves without clearance are found, opened and set', async () => {
    const { story } = await ends(engineOf(), { gapMm: { intake: -0.02, exhaust: -0.01 } })
    expect(story.some(line => line.includes('Watch the intake'))).toBe(true)
  })
  it('any single: random places, gaps, creep and decompressors', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.integer({ min: 0, max: 719 }),
        fc.integer({ min: -30, max: 280 }),
        fc.integer({ min: -30, max: 280 }),
        fc.integer({ min: -10, max: 10 }),
        fc.constantFrom('none', 'arc', 'unknown'),
        fc.boolean(),
        async (crankDeg, intake, exhaust, creep, kind, marked) => {
          const decompressor =
            kind === 'arc'
              ? ({ kind, role: 'exhaust', fromDeg: -120, toDeg: 10 } as const)
              : ({ kind } as { kind: 'none' })
          await ends(engineOf({ decompressor, ...(marked ? {} : { marks: [] }) }), {
            crankDeg,
            gapMm: { intake: intake / 1000, exhaust: exhaust / 1000 },
            creepMm: creep / 1000,
            held: kind === 'none' ? null : [-120, 10],
          })
        },
      ),
      { numRuns: 25, seed: 20261125 },
    )
  }, 60_000)
})
