import { valveById } from '../engine'
import { OUT_READING_WIDTH_MM } from '../feeler'
import { formatTorque } from '../units'
import { STEPS, type Step } from './event'
import { expectedPolicy, isCold, type JobView, latestVerdict, verdictIn } from './view'
import { type Passed, readingIn, type ValveState } from './state'

export const PLUG = 'Spark plug'
export const COVER = 'Rocker cover'

/** Something a step asks for. A mechanic may go through without it, with a reason that the sheet shows. */
export interface Requirement { id: string, step: Step, missing: string, met: boolean, passed: Passed | null }

type Asked = Omit<Requirement, 'passed' | 'step'>
const ask = (id: string, missing: string, met: boolean): Asked => ({ id, missing, met })

/** Whether a valve is to be set: out, chosen, or in the middle of it. */
export function needsSetting(view: JobView, valve: ValveState): boolean {
  if (valve.nut !== 'locked') return true
  const latest = latestVerdict(view.pin, valve).verdict
  if (latest === 'tight' || latest === 'loose') return true
  if (valve.phase === 'torqued') return verdictIn(view.pin, valve, 'torqued').verdict !== 'in'
  return valve.setChosen && valve.round === 0
}

/** As found is done when the verdict is proved, and for a valve that is out, as narrowly as serves the screw and the history. */
export function asFoundDone(view: JobView, valve: ValveState): boolean {
  if (valve.round > 0) return true
  const { verdict, reading } = verdictIn(view.pin, valve, 'as found')
  if (verdict === 'unproved') return false
  if (verdict === 'in' || (reading.hiMm !== null && reading.hiMm - reading.loMm <= OUT_READING_WIDTH_MM + 1e-9)) return true
  return expectedPolicy(view, valve)(readingIn(valve, 'as found')?.trials ?? []) === null
}

const isProved = (view: JobView, valve: ValveState): boolean => valve.phase === 'proved' && verdictIn(view.pin, valve, 'proved').verdict === 'in'
  && valve.readings.some(r => r.phase === 'proved' && r.round === valve.round && r.trials.length > 0)

const ASKS: Record<Step, (view: JobView) => Asked[]> = {
  ready({ state, pin, ...view }) {
    const { engine, status } = pin.spec
    const gone = new Set(state.cameOff)
    return [
      ask('machine', 'The machine was not confirmed.', state.confirmed.has('machine')),
      ask('spec', 'The spec was not confirmed.', state.confirmed.has('spec')),
      ask('spec-approved', 'The spec is a draft that no lead has approved.', status === 'approved'),
      ask('cold', `The engine is not known to be ${engine.setWhen === 'hot' ? 'warm as the maker asks' : `cold (limit ${engine.coldLimitC} °C)`}.`, isCold({ state, pin, nowMs: view.nowMs })),
      ask('safe', 'Nobody confirmed that the engine cannot start.', state.confirmed.has('safe')),
      ...stripList(view.tools.pin.spec.engine.stripDown).map(item => ask(`off:${item}`, `“${item}” did not come off.`, gone.has(item))),
      ask('plug-read', 'The plug was not read.', state.plugRead !== null || !gone.has(PLUG)),
      ask('valves', 'Which valve is which was not confirmed.', state.confirmed.has('valves')),
    ]
  },
  find(view) {
    const needed = view.state.valves.some(v => !isProved(view, v))
    return [ask(`place:${view.state.places}`, 'It is not proved that the valves are closed here.', !needed || view.position.standing.kind === 'settled')]
  },
  measure(view) {
    return view.state.valves.map(valve => ask(`as-found:${valve.valveId}`, `${nameOf(view, valve)}: as found is not proved.`,
      asFoundDone(view, valve)))
  },
  set(view) {
    return view.state.valves.map(valve => ask(`set:${valve.valveId}`, `${nameOf(view, valve)}: ${valve.nut === 'locked' ? 'not set' : 'the locknut is not tight'}.`, !needsSetting(view, valve)))
  },
  prove(view) {
    const all = view.state.valves.every(v => isProved(view, v))
    return [
      ask('turned', 'The engine was not turned over by hand.', view.state.proving || all),
      ...view.state.valves.flatMap(valve => [
        ask(`proved:${valve.valveId}`, `${nameOf(view, valve)}: not proved after two turns.`, isProved(view, valve)),
        ask(`look-again:${valve.valveId}`, `${nameOf(view, valve)}: what it rested on was taken back.`, !valve.lookAgain),
      ]),
    ]
  },
  close({ state, pin }) {
    const { torques } = pin.spec.engine
    const torque = (what: 'cover' | 'plug', nm: number | null) => ask(`torque-${what}`, `The ${what} was not tightened${nm === null ? '' : ` to ${formatTorque(nm)}`}.`, state.torqued[what] !== undefined)
    return [
      ...state.putIn.map(item => ask(`out:${item}`, `“${item}” went in and was not seen to come out.`, state.cameOut.has(item))),
      ask('gasket', 'Nothing was said of the gasket.', state.gasket !== null),
      ...[...state.cameOff].reverse().flatMap(item => [
        ask(`back:${item}`, `“${item}” came off and was not seen to go back.`, state.wentBack.has(item)),
        ...item === COVER ? [torque('cover', torques.coverNm)] : item === PLUG ? [torque('plug', torques.plugNm)] : [],
      ]),
      ask('ran', 'The engine was not run.', state.ran !== null),
      ask('next-due', 'Nothing was said of the next check.', state.nextDue !== null),
    ]
  },
}

const nameOf = (view: JobView, valve: ValveState): string => valveById(view.pin.spec.engine, valve.valveId).name

/** What comes off, in order: the model's own list, then plug and cover, which always do. */
export const stripList = (listed: string[]): string[] => [...listed.filter(item => item !== PLUG && item !== COVER), PLUG, COVER]

/**
 * All that the six steps ask for, in the order of the work.
 * A requirement that is passed names who went through and why.
 */
export function gates(view: JobView): Requirement[] {
  return STEPS.flatMap(step => ASKS[step](view).map(asked => ({
    ...asked, step, passed: asked.met ? null : view.state.passed.findLast(p => p.gate === asked.id) ?? null,
  })))
}

/** The first thing still asked for, or null when the job can be signed. */
export const firstOpen = (requirements: Requirement[]): Requirement | null => requirements.find(r => !r.met && r.passed === null) ?? null
