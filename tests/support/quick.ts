import { type Quick, quickSchema, readSaidClearances } from '../../core/quick'

/** A quick job of a single with two valves, a T line and “0.10 0.15”; everything can be replaced. */
export const quickOf = (changes: Partial<Quick> = {}): Quick =>
  quickSchema.parse({
    engine: 'single',
    valves: 2,
    text: '0.10 0.15',
    clearance: readSaidClearances('0.10 0.15')[0]!.clearance,
    adjuster: 'valve-end',
    mark: true,
    measuredAt: 'not said',
    ...changes,
  })
