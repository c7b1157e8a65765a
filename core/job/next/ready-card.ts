import { type Said, say } from '../../said'
import type { Happening, ReadyLine } from '../events'
import type { JobPin } from '../pin'
import { gates } from '../requirements'
import { itemWords } from '../strip-down'
import type { JobView } from '../view'
import { type CardLine, key, type Worded } from './thing'

/** A card with fewer lines is no shorter than its questions. */
const FEWEST_LINES = 2

/** What is still asked for before the work and can be said to be so without a look at a figure. */
function linesOf(view: JobView): CardLine[] {
  return gates(view)
    .filter(r => r.step === 'ready' && !r.met && r.passed === null)
    .flatMap(({ what }): CardLine[] => {
      switch (what.kind) {
        case 'off':
          return [{ kind: 'off', item: what.item }]
        case 'cold':
          // a head that was read, or is set hot, has its own question
          return view.state.temperature || view.pin.spec.engine.setWhen === 'hot' ? [] : [{ kind: 'cold' }]
        case 'machine':
        case 'spec':
        case 'safe':
        case 'valves':
          return [{ kind: what.kind }]
        default:
          return []
      }
    })
}

/** A `readied` answer of those lines of a card that are so. */
export const readiedBy = (lines: readonly CardLine[]): Extract<Happening, { type: 'readied' }> => ({
  type: 'readied',
  payload: {
    lines: lines.flatMap((line): ReadyLine[] => (line.kind === 'off' ? [] : [line.kind])),
    off: lines.flatMap(line => (line.kind === 'off' ? [line.item] : [])),
  },
})

/** What a line claims, as it stands on the card. */
export function lineWords({ machine, spec }: Pick<JobPin, 'machine' | 'spec'>, line: CardLine): Said {
  switch (line.kind) {
    case 'off':
      return say('ready-line.off', { item: itemWords(line.item) })
    case 'machine':
      return say('ready-line.machine', { machine: machine.name })
    case 'spec':
      return say('ready-line.spec', { revision: spec.revision })
    default:
      return say(`ready-line.${line.kind}`)
  }
}

/** All of it on one card, for hands that know the work; null for others, and where it was answered. */
export function readyCard(view: JobView): Worded | null {
  if (view.tools.hands !== 'practiced' || view.state.readied) return null
  const lines = linesOf(view)
  if (lines.length < FEWEST_LINES) return null
  return {
    label: say('ready-card.label'),
    instruction: say('ready-card'),
    stage: { kind: 'card', lines },
    why: say('ready-card.why'),
    keys: [
      key(say('key.all-so'), say('key.all-so.help'), readiedBy(lines)),
      key(say('key.one-by-one'), say('key.one-by-one.help'), readiedBy([])),
    ],
  }
}
