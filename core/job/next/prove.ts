import { runsWords, valveById } from '../../engine'
import { engravedWords } from '../../feeler'
import { topPlace } from '../../stops'
import type { Requirement } from '../requirements'
import { valveOf } from '../state'
import { stopHere } from '../stop-work'
import { type JobView, setInHand } from '../view'
import { placeWords } from '../words'
import { lastPlace } from './find'
import { decompressorTest, type DecompressorTest, oneBladeMore } from '../two-places'
import { feelKeys, trialThing } from './measure'
import { secondPlaceThing } from './second-place'
import { type Worded, key } from './thing'

/** Read a little finer past the top, so that the same blade at the top tells. */
function narrowerThing(view: JobView, { valveId, stack }: NonNullable<ReturnType<typeof oneBladeMore>>): Worded {
  const { name } = valveById(view.pin.spec.engine, valveId)
  const set = setInHand(view)
  return {
    label: `${name}, one more blade`,
    instruction: `Try ${engravedWords(stack.engravedMm, set.unit)} in the ${name.toLowerCase()}`,
    why: 'It’s in. One more blade here, and the same blade at the top will tell whether a decompressor holds the valve there.',
    keys: feelKeys(valveId, stack, set, null),
    stage: { kind: 'blades', valveId, next: stack },
    trial: { valveId, stack, set: set.name, after: null },
  }
}

/** The same valve, by the same blade, at its top and past it: held at the top or not. */
function decompressorThing(view: JobView, { valve, bladesMm, set }: DecompressorTest): Worded {
  const unit = [view.pin.bladeSet, ...view.pin.otherSets].find(s => s.name === set)?.unit ?? view.pin.bladeSet.unit
  const blade = engravedWords(bladesMm, unit)
  const say = (there: boolean) => ({
    type: 'decompressor-tested' as const,
    payload: { valveId: valve.id, there, bladesMm },
  })
  return {
    label: 'Is there a decompressor?',
    instruction: `Here at the top, try ${blade} in the ${valve.name.toLowerCase()}`,
    why: `It went in past the top. If it goes here too, no decompressor holds the valve, and from now on you can measure at the top.`,
    keys: [
      key('It goes here too', 'no decompressor', say(false)),
      key('Tighter, or refused', 'a decompressor holds it', say(true)),
      key('Not now', 'say why', null, 'reason'),
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
    const where = placeWords(engine, to)
    const turned = (turns: number, place: typeof to | null) => ({
      type: 'prove-turned' as const,
      payload: { turns, to: place },
    })
    return {
      label: 'Prove it',
      instruction: `Turn it over two full turns, back to ${where}`,
      why: `By hand, ${runsWords(engine)} seen from ${engine.turning.seenFrom}. Feel for binding; check that nothing jumped.`,
      keys: [
        key(`Back on ${where}`, 'two full turns', turned(2, to)),
        key('Overshot it', 'went around once more', turned(3, to)),
        key('I lost track', 'find it again', turned(2, null)),
        key('It binds', 'stop, write it down', null, 'finding'),
      ],
      stage: { kind: 'wheel', target: to, feelValveIds: [], cylinderId: null },
    }
  }
  const valve = valveOf(view.state, 'valveId' in what ? what.valveId : '')!
  if (what.kind === 'look-again') {
    const draft = trialThing(view, valve, 'look again')
    return {
      ...draft,
      label: `${valveById(engine, valve.valveId).name}: look again`,
      why: `An answer that this relied on was undone. ${draft.why}`,
    }
  }
  return trialThing(view, valve, 'proof')
}
