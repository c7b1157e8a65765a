import { samePlace } from '../../engine'
import { say } from '../../said'
import { topPlace } from '../../stops'
import { lastPlaceIn } from '../crank-work'
import { valveOf } from '../state'
import { stopHere, stopsInOrder } from '../stop-work'
import { decompressorTest, oneBladeMore, secondPlace } from '../two-places'
import type { JobView } from '../view'
import { find, unserved } from './place'
import { ask, type Asked, type AskedAt, at, gateOf, passedFor } from './requirement'
import { isProved, prove, toProve } from './valve'

/** How sure it must be that the test is made on compression. */
const ON_COMPRESSION_AT = 0.95
/** Whether the crank was just turned over to the top of the exhaust that is to be tested, on compression. */
function atTop(view: JobView): boolean {
  const test = decompressorTest(view)!
  const { engine } = view.pin.spec
  const place = lastPlaceIn(view.state.noted)
  if (!place || !samePlace(place, topPlace(engine, test.valve.cylinderId))) return false
  // the intake of its cylinder is held by nothing: where it is closed, the exhaust is too, but for a decompressor
  const intake = engine.valves.find(v => v.cylinderId === test.valve.cylinderId && v.role === 'intake')
  return intake !== undefined && (view.position.closed[intake.id] ?? 0) >= ON_COMPRESSION_AT
}

/** Whether nothing more is asked of a valve's proof: it is proved, or was passed with a reason. */
const isDone = (view: JobView, valveId: string): boolean =>
  isProved(view, valveOf(view.state, valveId)!) || passedFor(view, gateOf({ kind: 'proved', valveId })) !== null

/** An exhaust that may be held at its top is read past it too, once all is proved here: for the crank goes on. */
function beforeGoingOn(view: JobView): Asked[] {
  const here = stopHere(view)?.valves ?? []
  if (!view.state.proving || here.some(({ valveId }) => !isDone(view, valveId))) return []
  if (!secondPlace(view)) return []
  return [ask({ kind: 'second-place' }, say('missing.second-place.complaint'), false)]
}

/** Turn it over, then go round all stops again. */
export function proving(view: JobView): AskedAt[] {
  const todo = toProve(view)
  const more = view.state.proving ? null : oneBladeMore(view)
  return [
    ...at('prove', [
      ...(more ? [ask({ kind: 'narrower', valveId: more.valveId }, say('missing.decompressor'), false)] : []),
      ask(
        { kind: 'turned' },
        say('missing.turned'),
        view.state.proving || view.state.valves.every(v => isProved(view, v)),
      ),
      ...(view.state.proving && decompressorTest(view) && atTop(view)
        ? [ask({ kind: 'decompressor-test', place: view.state.places }, say('missing.decompressor'), false)]
        : []),
    ]),
    ...at('prove', beforeGoingOn(view)),
    ...stopsInOrder(view, todo).flatMap(work => [
      ...at('find', [find(view, work, todo)]),
      ...at(
        'prove',
        work.valves.flatMap(v => prove(view, v)),
      ),
    ]),
    ...at(
      'prove',
      unserved(view).flatMap(v => prove(view, v)),
    ),
  ]
}
