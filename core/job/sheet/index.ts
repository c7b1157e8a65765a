import { fahrenheit, formatMeter, formatTorque } from '../../units'
import { DEFER } from '../cautions'
import { dueWords } from '../due'
import { itemWords } from '../strip-down'
import { clearanceWords } from '../figures'
import { gates } from '../requirements'
import { hoursAtRest, type JobView } from '../view'
import type { Sheet } from './content'
import { correctionsOf } from './corrections'
import { setsUsed, settingWords, strangeBlades, wrenchWords } from './tools'
import { sheetValve } from './valve'

export type { Sheet, SheetReading, SheetRound, SheetValve } from './content'
export { roundsOf } from './rounds'
export * from './rows'

function coldWords(view: JobView): string {
  const { temperature } = view.state
  const rested = hoursAtRest(view)
  return (
    [
      temperature && `${temperature.celsius} °C, ${Math.round(fahrenheit(temperature.celsius))} °F`,
      rested !== null && view.state.rested && `rested ${Number(view.state.rested.hours.toFixed(1))} h`,
    ]
      .filter(Boolean)
      .join(', ') || 'not recorded'
  )
}

/**
 * The job sheet's content. Pure: signing stores the result, and what was signed stays as it was.
 * Nothing ticked is nothing claimed: what nobody said stands as such.
 */
export function sheet(view: JobView): Sheet {
  const { pin, state } = view
  const { engine } = pin.spec
  const { meter, lastMeter, meterUnit } = pin.machine
  const torque = (what: string, nm: number | null, done: boolean, by?: string) => ({
    what,
    wanted: nm === null ? 'by the manual' : formatTorque(nm),
    done,
    ...(by ? { by } : {}),
  })
  const untold = gates(view)
    .filter(r => !r.met && r.passed)
    .map(r => r.passed!)
  return {
    format: 'wembric job sheet',
    version: 1,
    number: pin.number,
    machine: {
      name: pin.machine.name,
      model: pin.modelName,
      tag: pin.machine.tag,
      owner: pin.machine.owner,
      meter: meter === null ? 'not read' : formatMeter(meter, meterUnit),
      sinceLast:
        meter === null || lastMeter === null || meter < lastMeter
          ? 'first visit on record'
          : `${formatMeter(Math.round((meter - lastMeter) * 10) / 10, meterUnit)} since last`,
    },
    complaint: pin.complaint,
    opened: { at: pin.openedAt, by: pin.openedBy },
    closed: state.closedAt && state.closedBy ? { at: state.closedAt, by: state.closedBy } : null,
    people: [...state.people],
    cold: coldWords(view),
    spec: {
      revision: pin.spec.revision,
      status: pin.spec.status,
      source: engine.source,
      sourceDate: engine.sourceDate,
      bladeSet: setsUsed(view).join(', '),
    },
    unit: pin.unit,
    valves: state.valves.map(valve => sheetValve(view, valve)),
    // every gate that was gone through is told, also where what was missing was made good later
    departures: [
      ...new Map(
        [...state.passed, ...untold].map(p => [
          `${p.gate}|${p.at}`,
          { missing: p.missing, reason: p.reason, by: p.by, at: p.at },
        ]),
      ).values(),
    ],
    corrections: correctionsOf(view),
    findings: state.findings.map(({ text, by, at }) => ({ text, by, at })),
    notes: state.notes,
    replaced: state.replaced.map(r => r.text),
    cameOff: state.cameOff.map(item => ({ item: itemWords(item), back: state.wentBack.has(item) })),
    wentIn: state.putIn.map(item => ({ item, out: state.cameOut.has(item) })),
    torques: [
      // where no nut was loosened there is nothing to tick
      ...(state.valves.some(v => v.round > 0)
        ? [
            torque(
              'Locknut',
              engine.torques.locknutNm,
              state.valves.every(v => v.nut === 'locked'),
              wrenchWords(view),
            ),
          ]
        : []),
      torque('Cover', engine.torques.coverNm, state.torqued.cover !== undefined),
      torque('Plug', engine.torques.plugNm, state.torqued.plug !== undefined),
    ],
    plug: state.plugRead ?? 'not read',
    gasket: state.gasket
      ? { 'new': 'New gasket', 'used again': 'Gasket used again', 'compound': 'Compound' }[state.gasket.choice] +
        (state.gasket.note ? `: ${state.gasket.note}` : '')
      : 'not recorded',
    run: state.ran
      ? {
          'clean': 'Ran clean: no tick, no weep',
          'ticks': 'Ran, ticks',
          'weeps': 'Ran, weeps',
          'will not start': 'Would not start',
        }[state.ran.result] + (state.ran.note ? `. ${state.ran.note}` : '')
      : 'not run',
    nextDue: state.nextDue ? dueWords(view, state.nextDue) : 'not recorded',
    setting: settingWords(view),
    figures: [
      ...(state.spec
        ? [
            `Started with revision ${view.tools.pin.spec.revision}; ${state.spec.by} switched to revision ${pin.spec.revision} when it came into force.`,
          ]
        : []),
      ...Object.entries(state.figures).map(
        ([role, f]) =>
          `${role === 'intake' ? 'Intake' : 'Exhaust'} ${clearanceWords(f.clearance)}: ${f.reason}. ${f.by}.`,
      ),
    ],
    strangeBlades: strangeBlades(view),
    judgementVersion: pin.judgementVersion,
    caution: DEFER,
  }
}
