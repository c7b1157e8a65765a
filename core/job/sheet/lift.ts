import { gapEffect, gapEffectWords, gapShows, liftWithGap, valveById } from '../../engine'
import { countedAsIn } from '../../feeler'
import type { Tell } from '../../said'
import { readingIn, type ValveState } from '../state'
import { clearanceOf, type JobView, setInHand, targetFor, verdictIn } from '../view'
import type { SheetLift } from './content'

/** Degrees on either side of where the valve opens or closes: beyond, a gap does not show. */
const SPAN_DEG = 22
/** As close as the sheet’s small chart can show. */
const STEP_DEG = 2

/** How far a valve was found outside its limits, by the middle of its reading, mm; null where it was in or unproved. */
function outBy(view: JobView, valve: ValveState): { foundMm: number; outMm: number } | null {
  if (!readingIn(valve, 'as found')) return null
  const { verdict, reading } = verdictIn(view.pin, valve, 'as found')
  if (verdict !== 'tight' && verdict !== 'loose') return null
  const foundMm = reading.hiMm === null ? reading.loMm : (reading.loMm + reading.hiMm) / 2
  const { minMm, maxMm } = countedAsIn(clearanceOf(view.pin, valve.valveId), setInHand(view))
  return { foundMm, outMm: Math.max(minMm - foundMm, foundMm - maxMm) }
}

/**
 * What the gap as found did to the valve that was farthest out, beside the gap it is set to: its lift near the seat
 * where it opens and where it closes. Null where none was found out of its limits, or by less than shows in its lift.
 */
export function worstLift(view: JobView, tell: Tell): SheetLift | null {
  const { engine } = view.pin.spec
  const worst = view.state.valves
    .flatMap(valve => {
      const out = outBy(view, valve)
      return out ? [{ valve, ...out }] : []
    })
    .sort((a, b) => b.outMm - a.outMm)[0]
  if (!worst) return null
  const { name, role } = valveById(engine, worst.valve.valveId)
  const wantedMm = targetFor(view, worst.valve.valveId)
  const [found, wanted] = [worst.foundMm, wantedMm].map(mm => gapEffect(engine, role, mm)) as [
    ReturnType<typeof gapEffect>,
    ReturnType<typeof gapEffect>,
  ]
  if (!gapShows(found, wanted)) return null
  const curve = (gapMm: number, middleDeg: number): number[] =>
    Array.from({ length: (2 * SPAN_DEG) / STEP_DEG + 1 }, (_, i) => middleDeg - SPAN_DEG + i * STEP_DEG).map(deg =>
      Number(liftWithGap(engine, role, gapMm, deg).toFixed(3)),
    )
  const about = (middleDeg: number) => ({
    fromDeg: Math.round(middleDeg) - SPAN_DEG,
    wanted: curve(wantedMm, middleDeg),
    found: curve(worst.foundMm, middleDeg),
  })
  return {
    name,
    words: tell(gapEffectWords(found, wanted)),
    foundMm: worst.foundMm,
    wantedMm,
    camKnown: engine.cam !== null,
    stepDeg: STEP_DEG,
    opens: about(wanted.opensDeg),
    closes: about(wanted.closesDeg),
  }
}
