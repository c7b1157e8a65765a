import { valveById } from '../../engine'
import { say, type Text } from '../../said'
import { formatLength } from '../../units'
import { type ShimLine, shimWork } from '../shim-plan'
import { shimIn } from '../shim-state'
import { presentReading, type ValveState } from '../state'
import { type JobView, judgeReading, latestVerdict, targetFor } from '../view'
import { leaveForNow, somethingOdd, writeDown } from './keys'
import { trialThing, wasInWords } from './measure'
import { key, type Worded } from './thing'

/** A reading no wider than this from zero: the gap may as well be below it. */
const NO_CLEARANCE_MM = 0.04

const mm = (value: number | null): string => (value === null ? '?' : formatLength(value, 'mm'))

/** Where a shim comes from. */
export function shimFromWords(view: JobView, { place }: Pick<ShimLine, 'place'>): Text {
  if (!place) return ''
  return place.from === 'valve'
    ? say('shim.from.valve', { valve: valveById(view.pin.spec.engine, place.fromValveId!).name })
    : say(`shim.from.${place.from}`)
}
/** The same to stand by itself. */
const fromSentence = (view: JobView, { from, fromValveId }: NonNullable<ShimLine['place']>): Text =>
  from === 'valve'
    ? say('shim.from.valve.sentence', { valve: valveById(view.pin.spec.engine, fromValveId!).name })
    : say(`shim.from.${from}.sentence`)

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
    return trialThing(view, valve, say('shim.with-new.phase'))
  const work = shimWork(view)
  const unread = work.lines.find(l => l.oldMm === null)
  if (latest.reading.hiMm === null)
    return {
      label: say('valve.is', { valve: name, verdict: latest.verdict }),
      instruction: say('shim.every-blade'),
      stage,
      why: say('shim.every-blade.why'),
      keys: [leaveForNow],
    }
  if (unread) {
    const unreadName = valveById(view.pin.spec.engine, unread.valveId).name
    return {
      label: say('shim.label', { valve: unreadName }),
      instruction: say('shim.read', { valve: unreadName }),
      stage: { kind: 'shims', valveId: unread.valveId },
      why: [
        wasInWords(
          view,
          view.state.valves.find(v => v.valveId === unread.valveId)!,
          'cam',
        ),
        say('shim.read.why'),
      ],
      keys: [key(say('key.shim-read'), say('key.shim-read.help'), null, 'shim-read'), leaveForNow, writeDown],
    }
  }
  const open = work.lines.find(l => !l.fitted)
  if (open) return fitThing(view, open, work.without.includes(open.valveId))
  return {
    label: say('shim.in.label'),
    instruction: say('shim.cam-back'),
    stage,
    why: say('shim.cam-back.why'),
    keys: [key(say('key.cam-back'), say('key.cam-back.help'), { type: 'cam-back', payload: {} }), somethingOdd],
  }
}

function fitThing(view: JobView, line: ShimLine, noneWouldDo: boolean): Worded {
  const { name } = valveById(view.pin.spec.engine, line.valveId)
  const stage: Worded['stage'] = { kind: 'shims', valveId: line.valveId }
  const wanted = targetFor(view, line.valveId)
  const noClearance = (line.measuredMm ?? 1) * 2 <= NO_CLEARANCE_MM
  const sum = say('shim.sum', {
    fitted: mm(line.oldMm),
    measured: mm(line.measuredMm),
    wanted: mm(wanted),
    makes: mm(line.wantedMm),
  })
  const valveState = view.state.valves.find(v => v.valveId === line.valveId)!
  if (!line.place || noneWouldDo)
    return {
      label: say('shim.label', { valve: name }),
      instruction: say('shim.none-would-do', { valve: name }),
      stage,
      why: [sum, say('shim.none-would-do.why')],
      keys: [key(say('key.some-size'), say('key.type-it'), null, 'shim-size'), leaveForNow, writeDown],
    }
  const { mm: size, clearanceMm, from, fromValveId } = line.place
  return {
    label: say('shim.label', { valve: name }),
    instruction:
      from === 'stays'
        ? say('shim.put-back', { size: mm(shimIn(valveState)), valve: name })
        : say('shim.fit', { size: mm(size), valve: name }),
    stage,
    why: [
      fromSentence(view, line.place),
      sum,
      say('shim.gives', { clearance: mm(clearanceMm) }),
      noClearance ? say('shim.no-clearance') : say('shim.number-side'),
    ],
    keys: [
      key(say('key.shim-in', { size: mm(size) }), shimFromWords(view, line), {
        type: 'shim-fitted',
        payload: {
          valveId: line.valveId,
          mm: size,
          from: from === 'stays' ? 'valve' : from,
          fromValveId: from === 'stays' ? line.valveId : fromValveId,
        },
      }),
      key(say('key.another-size'), say('key.type-it'), null, 'shim-size'),
      leaveForNow,
    ],
  }
}
