import { headMap, type Role } from '../../engine'
import { type Said, say, type Tell, type Text } from '../../said'
import { formatMeter, formatTorque } from '../../units'
import { dueWords } from '../due'
import { clearanceWords } from '../figures'
import { gates } from '../requirements'
import { COVER, hasGasket, isTightened, itemWords, partsToRemove, PLUG } from '../strip-down'
import { hoursAtRest, type JobView } from '../view'
import type { Sheet } from './content'
import { correctionsOf } from './corrections'
import { worstLift } from './lift'
import { complaintLines, complaintWords, findingWords, forOwner, pressureLines } from './owner'
import { together } from './together'
import { setsUsed, settingWords, strangeBlades, wrenchWords } from './tools'
import { sheetValve } from './valve'

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
  const torque = (what: Text, nm: number | null, done: boolean, by?: string) => ({
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
    complaint: tell(complaintWords(pin)),
    complaints: complaintLines(view).map(tell),
    owner: forOwner(view).map(tell),
    lift: worstLift(view, tell),
    pressures: pressureLines(view).map(tell),
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
    map: headMap(engine),
    valves: state.valves.map(valve => sheetValve(view, valve, tell)),
    // every gate that was gone through is told, also where what was missing was made good later
    departures: [
      ...new Map(
        [...state.passed, ...untold].map(p => [
          `${p.gate}|${p.at}`,
          { missing: tell(p.missing), reason: p.reason, by: p.by, at: p.at },
        ]),
      ).values(),
      ...sealDepartures(view, tell),
    ],
    corrections: correctionsOf(view).map(tell),
    findings: state.findings
      .filter(f => f.end !== 'replaced')
      .map(found => ({ text: tell(findingWords(found)), by: found.by, at: found.at })),
    notes: state.notes,
    replaced: [
      ...state.replaced.map(r => r.text),
      ...state.findings.filter(f => f.end === 'replaced').map(f => [f.part, f.text].filter(Boolean).join(': ')),
    ],
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
      ...partsToRemove(engine)
        .filter(part => isTightened(part) && (!engine.parts || state.cameOff.includes(part.name)))
        .map(part => torque(torquedName(part.name), part.torqueNm, state.torqued[part.name] !== undefined)),
    ],
    plug: tell(plugWords(view)),
    gasket: tell(gasketWords(view)),
    run: tell(state.ran ? say(`sheet.run.${state.ran.result}`, { note: state.ran.note }) : say('sheet.not-run')),
    nextDue: tell(state.nextDue ? dueWords(view, state.nextDue) : say('sheet.not-recorded')),
    setting: settingWords(view).map(tell),
    figures: figureWords(view).map(tell),
    strangeBlades: strangeBlades(view),
    judgementVersion: pin.judgementVersion,
    caution: tell(say('caution.defer')),
  }
}

const torquedName = (part: string): Text =>
  part === COVER ? say('sheet.cover') : part === PLUG ? say('sheet.plug') : part
/** How each plug looked and what became of its gap; which one, where there are several. */
function plugWords({ state }: JobView): Text {
  const plug = (look: string, name: string): Text => {
    const gap = state.plugGaps[name]
    return gap ? say('sheet.plug-and-gap', { look, ...gap }) : say('sheet.plug-look', { look })
  }
  const each = Object.entries(state.plugLooks).map(([part, look]) => ({ part, is: plug(look, part) }))
  // plugs that were found alike stand together
  const alike = together(
    each,
    ({ part }) => part,
    ({ is }) => JSON.stringify(is),
  ).map(({ names, one }) => ({ part: names.join(', '), is: one.is }))
  if (alike.length > 0) return say('sheet.each', { of: alike })
  return state.plugRead === null ? say('sheet.plug-not-read') : plug(state.plugRead, PLUG)
}
/** How a spec says that a gasket is to be new. English and Spanish. */
const WANTS_NEW = /\bnew\b|\bnuev[ao]s?\b/i
/** Gaskets that were used again, or left out for compound, though the spec wants a new one. */
const sealDepartures = ({ pin, state }: JobView, tell: Tell): Sheet['departures'] =>
  WANTS_NEW.test(pin.spec.engine.gasket)
    ? Object.entries(state.gaskets)
        .filter(([, { choice }]) => choice !== 'new')
        .map(([part, { choice, note, by, at }]) => ({
          missing: tell(say('sheet.spec-says', { part: itemWords(part), spec: pin.spec.engine.gasket })),
          reason: tell(say(`sheet.gasket.${choice}`, { note })),
          by,
          at,
        }))
    : []

/** Which gasket went on each cover. */
function gasketWords({ state, pin }: JobView): Text {
  const each = Object.entries(state.gaskets).map(([part, { choice, note }]) => ({
    part,
    is: say(`sheet.gasket.${choice}`, { note }),
  }))
  const [first] = each
  if (!first) return pin.spec.engine.parts?.some(hasGasket) === false ? '' : say('sheet.not-recorded')
  return first.part === COVER ? first.is : say('sheet.each', { of: each })
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
