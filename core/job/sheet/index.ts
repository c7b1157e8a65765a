import type { Role } from '../../engine'
import { say, type Said, type Tell } from '../../said'
import { formatMeter, formatTorque } from '../../units'
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

/** How cold it was; each part may be unknown. */
function coldWords(view: JobView): Said {
  const { temperature, rested } = view.state
  const hours = hoursAtRest(view) === null ? null : (rested?.hours ?? null)
  return say('sheet.cold', { celsius: temperature?.celsius ?? null, hours })
}

/**
 * The job sheet's content. Pure: signing stores the result, and what was signed stays as it was.
 * It is worded by `tell`, for what is signed keeps its words.
 * Nothing ticked is nothing claimed: what nobody said stands as such.
 */
export function sheet(view: JobView, tell: Tell): Sheet {
  const { pin, state } = view
  const { engine } = pin.spec
  const { meter, lastMeter, meterUnit } = pin.machine
  const torque = (what: Said, nm: number | null, done: boolean, by?: string) => ({
    what: tell(what),
    wanted: nm === null ? tell(say('sheet.by-the-manual')) : formatTorque(nm),
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
      meter: meter === null ? tell(say('sheet.meter-not-read')) : formatMeter(meter, meterUnit),
      sinceLast:
        meter === null || lastMeter === null || meter < lastMeter
          ? tell(say('sheet.first-visit'))
          : tell(say('sheet.since-last', { use: Math.round((meter - lastMeter) * 10) / 10, unit: meterUnit })),
    },
    complaint: pin.complaint,
    opened: { at: pin.openedAt, by: pin.openedBy },
    closed: state.closedAt && state.closedBy ? { at: state.closedAt, by: state.closedBy } : null,
    people: [...state.people],
    cold: tell(coldWords(view)),
    spec: {
      revision: pin.spec.revision,
      status: pin.spec.status,
      source: engine.source,
      sourceDate: engine.sourceDate,
      bladeSet: setsUsed(view).join(', '),
    },
    unit: pin.unit,
    valves: state.valves.map(valve => sheetValve(view, valve, tell)),
    // every gate that was gone through is told, also where what was missing was made good later
    departures: [
      ...new Map(
        [...state.passed, ...untold].map(p => [
          `${p.gate}|${p.at}`,
          { missing: tell(p.missing), reason: p.reason, by: p.by, at: p.at },
        ]),
      ).values(),
    ],
    corrections: correctionsOf(view).map(tell),
    findings: state.findings.map(({ text, by, at }) => ({ text, by, at })),
    notes: state.notes,
    replaced: state.replaced.map(r => r.text),
    cameOff: state.cameOff.map(item => ({ item: tell(itemWords(item)), back: state.wentBack.has(item) })),
    wentIn: state.putIn.map(item => ({ item, out: state.cameOut.has(item) })),
    torques: [
      // where no nut was loosened there is nothing to tick
      ...(state.valves.some(v => v.round > 0)
        ? [
            torque(
              say('sheet.locknut'),
              engine.torques.locknutNm,
              state.valves.every(v => v.nut === 'locked'),
              wrenchWords(view, tell),
            ),
          ]
        : []),
      torque(say('sheet.cover'), engine.torques.coverNm, state.torqued.cover !== undefined),
      torque(say('sheet.plug'), engine.torques.plugNm, state.torqued.plug !== undefined),
    ],
    plug: tell(state.plugRead === null ? say('sheet.plug-not-read') : say('sheet.plug-look', { look: state.plugRead })),
    gasket: tell(
      state.gasket
        ? say(`sheet.gasket.${state.gasket.choice}`, { note: state.gasket.note })
        : say('sheet.not-recorded'),
    ),
    run: tell(state.ran ? say(`sheet.run.${state.ran.result}`, { note: state.ran.note }) : say('sheet.not-run')),
    nextDue: tell(state.nextDue ? dueWords(view, state.nextDue) : say('sheet.not-recorded')),
    setting: settingWords(view).map(tell),
    figures: figureWords(view).map(tell),
    strangeBlades: strangeBlades(view),
    judgementVersion: pin.judgementVersion,
    caution: tell(say('caution.defer')),
  }
}

/** Figures and revisions that somebody settled on while the job was open. */
const figureWords = ({ pin, state, tools }: JobView): Said[] => [
  ...(state.spec
    ? [say('sheet.switched', { from: tools.pin.spec.revision, to: pin.spec.revision, by: state.spec.by })]
    : []),
  ...Object.entries(state.figures).map(([role, f]) =>
    say('sheet.figure', { role: role as Role, figure: clearanceWords(f.clearance), reason: f.reason, by: f.by }),
  ),
]
