import { reuseShims, type ShimPlan, type ShimValve, wantedShim } from '../shim'
import { needsSetting } from './requirements'
import { fittedHere } from './shim-state'
import type { ValveState } from './state'
import { clearanceOf, isShimmed, type JobView, judgeReading, targetFor } from './view'

/** The middle of the reading that a shim is reckoned from, and whether it is bounded. */
function measuredOf(view: JobView, valve: ValveState): number | null {
  const last = valve.readings
    .filter(r => r.trials.length > 0 && (r.round < valve.round || !fittedHere(view.state, valve)))
    .at(-1)
  const { reading } = judgeReading(view.pin, last, valve.valveId)
  return reading.hiMm === null ? null : (reading.loMm + reading.hiMm) / 2
}

/** The shim that a valve had when it was measured last: a fitted one that has not been measured yet is not it. */
function shimMeasured(view: JobView, valve: ValveState): number | null {
  const measuredWith = fittedHere(view.state, valve) ? valve.shim.fitted.slice(0, -1) : valve.shim.fitted
  return measuredWith.at(-1)?.mm ?? valve.shim.measuredMm ?? valve.shim.engravedMm
}

/** A shimmed valve in the list of which shim goes where. */
export interface ShimLine {
  valveId: string
  measuredMm: number | null
  oldMm: number | null
  engravedMm: number | null
  wantedMm: number | null
  /** Where its shim is to come from, or came from. */
  place: ShimPlan['places'][number] | null
  fitted: boolean
}

export interface ShimWork {
  lines: ShimLine[]
  buyMm: number[]
  leftMm: number[]
  without: string[]
}

/**
 * The shimmed valves that are out or were given a shim this time, and which shim goes where. A valve that is in keeps
 * its own.
 */
export function shimWork(view: JobView): ShimWork {
  const { pin } = view
  const stepMm = pin.spec.engine.shim?.stepMm ?? 0.05
  const batch = view.state.valves.filter(
    v => isShimmed(view.pin, v.valveId) && (fittedHere(view.state, v) || needsSetting(view, v)),
  )
  const known = batch.flatMap((valve): (ShimValve & { valve: ValveState })[] => {
    const [fittedMm, measuredMm] = [shimMeasured(view, valve), measuredOf(view, valve)]
    return fittedMm === null || measuredMm === null
      ? []
      : [
          {
            valve,
            valveId: valve.valveId,
            fittedMm,
            measuredMm,
            clearance: clearanceOf(pin, valve.valveId),
            targetMm: targetFor(view, valve.valveId),
          },
        ]
  })
  const done = known.filter(k => fittedHere(view.state, k.valve))
  const open = known.filter(k => !done.includes(k))
  const used = view.state.valves.flatMap(v => v.shim.fitted)
  const goneFrom = new Set(done.map(k => k.valve.shim.fitted.at(-1)!.fromValveId).filter(id => id !== null))
  const stock = without(
    pin.shimStockMm,
    used.filter(f => f.from === 'stock').map(f => f.mm),
  )
  // what came out of a valve that has its new shim already lies ready, unless it was used
  const freed = done.filter(k => !goneFrom.has(k.valveId)).map(k => ({ mm: k.fittedMm, fromValveId: k.valveId }))
  const plan = reuseShims(open, stock, stepMm, { freed, gone: goneFrom })
  return {
    lines: batch.map((valve): ShimLine => {
      const k = known.find(other => other.valveId === valve.valveId)
      const last = valve.shim.fitted.at(-1)
      const place =
        fittedHere(view.state, valve) && last && k
          ? {
              valveId: valve.valveId,
              mm: last.mm,
              clearanceMm: k.fittedMm + k.measuredMm - last.mm,
              from: last.from,
              fromValveId: last.fromValveId,
            }
          : (plan.places.find(p => p.valveId === valve.valveId) ?? null)
      return {
        valveId: valve.valveId,
        measuredMm: measuredOf(view, valve),
        oldMm: shimMeasured(view, valve),
        engravedMm: valve.shim.engravedMm,
        wantedMm: k ? wantedShim(k.fittedMm, k.measuredMm, k.targetMm) : null,
        place,
        fitted: fittedHere(view.state, valve),
      }
    }),
    buyMm: plan.buyMm,
    leftMm: plan.leftMm,
    without: plan.without,
  }
}

/** A list less one entry for each of some values. */
function without(list: readonly number[], taken: readonly number[]): number[] {
  const left = [...list]
  for (const mm of taken) {
    const at = left.indexOf(mm)
    if (at >= 0) left.splice(at, 1)
  }
  return left
}
