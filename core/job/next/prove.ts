import { valveById } from '../../engine'
import { engravedWords } from '../../feeler'
import { say } from '../../said'
import { topPlace } from '../../stops'
import type { Requirement } from '../requirements'
import { valveOf } from '../state'
import { stopHere } from '../stop-work'
import { type DecompressorTest, decompressorTest, oneBladeMore } from '../two-places'
import { type JobView, setInHand } from '../view'
import { placeWords } from '../words'
import { lastPlace } from './find'
import { notNow } from './keys'
import { feelKeys, trialThing } from './measure'
import { secondPlaceThing } from './second-place'
import { key, type Worded } from './thing'

/** Read a little finer past the top, so that the same blade at the top tells. */
function narrowerThing(view: JobView, { valveId, stack }: NonNullable<ReturnType<typeof oneBladeMore>>): Worded {
  const { name } = valveById(view.pin.spec.engine, valveId)
  const set = setInHand(view)
  return {
    label: say('valve.one-more-blade', { valve: name }),
    instruction: say('blade.try', { blade: engravedWords(stack.engravedMm, set.unit), valve: name }),
    why: say('narrower.why'),
    keys: feelKeys(valveId, stack, set, null),
    stage: { kind: 'blades', valveId, next: stack },
    trial: { valveId, stack, set: set.name, after: null },
  }
}

/** The same valve, by the same blade, at its top and past it: held at the top or not. */
function decompressorThing(view: JobView, { valve, bladesMm, set }: DecompressorTest): Worded {
  const unit = [view.pin.bladeSet, ...view.pin.otherSets].find(s => s.name === set)?.unit ?? view.pin.bladeSet.unit
  const blade = engravedWords(bladesMm, unit)
  const tested = (there: boolean) => ({
    type: 'decompressor-tested' as const,
    payload: { valveId: valve.id, there, bladesMm },
  })
  return {
    label: say('decompressor.label'),
    instruction: say('decompressor.try', { blade, valve: valve.name }),
    why: say('decompressor.why'),
    keys: [
      key(say('key.goes-here-too'), say('key.no-decompressor'), tested(false)),
      key(say('key.tighter-or-refused'), say('key.decompressor-holds'), tested(true)),
      notNow,
    ],
    stage: { kind: 'wheel', target: null, feelValveIds: [valve.id], cylinderId: valve.cylinderId },
  }
}

/** The Prove step: two turns by hand, back to the stop, and every valve again. */
export function proveThing(view: JobView, { what }: Requirement): Worded {
  const { engine } = view.pin.spec
  if (what.kind === 'decompressor-test') return decompressorThing(view, decompressorTest(view)!)
  if (what.kind === 'second-place') return secondPlaceThing(view)
  if (what.kind === 'narrower') return narrowerThing(view, oneBladeMore(view)!)
  if (what.kind === 'turned') {
    const test = decompressorTest(view)
    const to =
      (test && topPlace(engine, test.valve.cylinderId)) ??
      (stopHere(view) ?? view.model.plan.stops[0])?.place ??
      lastPlace(view) ??
      topPlace(engine, engine.cylinders[0]!.id)
    const place = placeWords(engine, to)
    const { turning } = engine
    const turned = (turns: number, place: typeof to | null) => ({
      type: 'prove-turned' as const,
      payload: { turns, to: place },
    })
    return {
      label: say('prove.label'),
      instruction: say('prove.turn-over', { place }),
      why: view.pin.quick
        ? say('prove.turn-over.why.as-it-runs')
        : [
            say('prove.turn-over.why', { runs: say(`runs.${turning.direction}`), seenFrom: turning.seenFrom }),
            turning.by ? say('turn-by', { by: turning.by }) : '',
          ],
      keys: [
        key(say('key.back-on', { place }), say('key.back-on.help'), turned(2, to)),
        key(say('key.overshot'), say('key.overshot.once-more'), turned(3, to)),
        key(say('key.lost-track'), say('key.find-it-again'), turned(2, null)),
        key(say('key.binds'), say('key.binds.help'), null, 'finding'),
      ],
      stage: { kind: 'wheel', target: to, feelValveIds: [], cylinderId: null },
    }
  }
  const valve = valveOf(view.state, 'valveId' in what ? what.valveId : '')!
  if (what.kind === 'look-again') {
    const draft = trialThing(view, valve, say('phase.look-again'))
    return {
      ...draft,
      label: say('valve.look-again', { valve: valveById(engine, valve.valveId).name }),
      why: [say('undone.why'), draft.why],
    }
  }
  return trialThing(view, valve, say('phase.proof'))
}
