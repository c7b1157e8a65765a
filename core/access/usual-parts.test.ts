import { expect, it } from 'vitest'
import { machineKind } from './usual-parts'

it.each([
  ['Side-by-side', 'ATV'],
  ['Sidecar outfit', 'motorcycle'],
  ['motorcycle with side car', 'motorcycle'],
  ['ride-on mower', 'mower'],
  ['water pump', 'generator'],
  ['moped', 'scooter'],
  ['boat', null],
] as const)('a spec book that says “%s” means: %s', (word, kind) => expect(machineKind(word)).toBe(kind))
