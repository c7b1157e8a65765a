import { valveById } from '../../engine'
import { formatLength } from '../../units'
import { type ShimLine, shimWork } from '../shim-plan'
import { shimIn } from '../shim-state'
import { presentReading, type ValveState } from '../state'
import { type JobView, judgeReading, latestVerdict, targetFor } from '../view'
import { trialThing } from './measure'
import { type Worded, key } from './thing'

/** A reading no wider than this from zero: the gap may as well be below it. */
const NO_CLEARANCE_MM = 0.04

const mm = (value: number | null): string => (value === null ? '?' : formatLength(value, 'mm'))

/** Where a shim comes from, in words. */
export function shimFromWords(view: JobView, { place }: Pick<ShimLine, 'place'>): string {
  const { engine } = view.pin.spec
  switch (place?.from) {
    case 'stock':
      return 'from the shelf'
    case 'bought':
      return 'to be bought'
    case 'valve':
      return `out of the ${valveById(engine, place.fromValveId!).name.toLowerCase()}`
    case 'stays':
      return 'stays'
    case undefined:
      return ''
  }
}

/** The Set step for a shimmed valve: old shims read, new ones fitted, cam back, measured again. Common practice. */
export function shimThing(view: JobView, valve: ValveState): Worded {
  const { valveId } = valve
  const { name } = valveById(view.pin.spec.engine, valveId)
  const stage: Worded['stage'] = { kind: 'shims', valveId }
  const latest = latestVerdict(view.pin, valve)
  if (
    valve.phase === 'torqued' &&
    !view.state.camOut &&
    judgeReading(view.pin, presentReading(valve), valveId).verdict === 'unproved'
  )
    return trialThing(view, valve, 'with its new shim')
  const work = shimWork(view)
  const unread = work.lines.find(l => l.oldMm === null)
  if (latest.reading.hiMm === null)
    return {
      label: `${name}, ${latest.verdict}`,
      instruction: 'Every blade went in so far',
      stage,
      why: 'The reading doesn’t tell how thick a shim it needs. Try thicker blades, or leave it and say why.',
      keys: [key('Leave it for now', 'say why', null, 'reason')],
    }
  if (unread) {
    const unreadName = valveById(view.pin.spec.engine, unread.valveId).name
    return {
      label: `${unreadName}, by its shim`,
      instruction: `Read the ${unreadName.toLowerCase()}’s shim`,
      stage: { kind: 'shims', valveId: unread.valveId },
      why: 'The cam comes out for it: mark the chain, keep the dowels. Measure the shim as well: engravings wear.',
      keys: [
        key('Read it', 'engraved and measured', null, 'shim-read'),
        key('Leave it for now', 'say why', null, 'reason'),
        key('Write it down', 'for the owner', null, 'finding'),
      ],
    }
  }
  const open = work.lines.find(l => !l.fitted)
  if (open) return fitThing(view, open, work.without.includes(open.valveId))
  return {
    label: 'Shims are in',
    instruction: 'Put the cam back, chain on its marks',
    stage,
    why: 'Tighten the bridge bolts evenly, to the manual’s torque. Turn it over gently by hand: it must not bind. Then find the stop again.',
    keys: [
      key('Cam is back', 'turned over by hand', { type: 'cam-back', payload: {} }),
      key('Something is odd', 'write it down', null, 'finding'),
    ],
  }
}

function fitThing(view: JobView, line: ShimLine, noneWouldDo: boolean): Worded {
  const { name } = valveById(view.pin.spec.engine, line.valveId)
  const stage: Worded['stage'] = { kind: 'shims', valveId: line.valveId }
  const wanted = targetFor(view, line.valveId)
  const closed =
    (line.measuredMm ?? 1) * 2 <= NO_CLEARANCE_MM
      ? ' There was no clearance at all: this is a first guess, to be measured again.'
      : ''
  const sum = `${mm(line.oldMm)} fitted + ${mm(line.measuredMm)} measured − ${mm(wanted)} wanted = ${mm(line.wantedMm)}.`
  const valveState = view.state.valves.find(v => v.valveId === line.valveId)!
  if (!line.place || noneWouldDo)
    return {
      label: `${name}, by its shim`,
      instruction: `No shim brings the ${name.toLowerCase()} into spec`,
      stage,
      why: `${sum} No available size ends up within the limits.`,
      keys: [
        key('Fit some size', 'type it', null, 'shim-size'),
        key('Leave it for now', 'say why', null, 'reason'),
        key('Write it down', 'for the owner', null, 'finding'),
      ],
    }
  const { mm: size, clearanceMm, from, fromValveId } = line.place
  return {
    label: `${name}, by its shim`,
    instruction:
      from === 'stays'
        ? `Put ${mm(shimIn(valveState))} back in the ${name.toLowerCase()}`
        : `Fit ${mm(size)} in the ${name.toLowerCase()}`,
    stage,
    why: `${shimFromWords(view, line).replace(/^./, c => c.toUpperCase())}. ${sum} Gives ${mm(clearanceMm)} mm.${closed || ' Number side to the valve.'}`,
    keys: [
      key(`${mm(size)} is in`, shimFromWords(view, line), {
        type: 'shim-fitted',
        payload: {
          valveId: line.valveId,
          mm: size,
          from: from === 'stays' ? 'valve' : from,
          fromValveId: from === 'stays' ? line.valveId : fromValveId,
        },
      }),
      key('Another size', 'type it', null, 'shim-size'),
      key('Leave it for now', 'say why', null, 'reason'),
    ],
  }
}
