import { samePlace, valveById } from '../engine'
import { movesCrank, standingToward } from '../position'
import { type Stop, topPlace } from '../stops'
import { lastPlaceIn } from './crank-work'
import { OUT_READING_WIDTH_MM } from '../feeler'
import { formatTorque } from '../units'
import type { Step } from './steps'
import { expectedPolicy, isCold, type JobView, judgeReading, latestVerdict, verdictIn } from './view'
import { type Passed, presentReading, readingIn, type ValveState } from './state'
import { unsettledRoles } from './figures'
import { stopHere, type StopWork, stopsInOrder } from './stop-work'
import { decompressorTest, differsHere, oneBladeMore, secondPlace, tellsApart } from './two-places'

export const PLUG = 'Spark plug'
export const COVER = 'Rocker cover'

/** Something a step asks for. A mechanic may go through without it, with a reason that the sheet shows. */
export interface Requirement {
  id: string
  step: Step
  missing: string
  met: boolean
  passed: Passed | null
  /** No reason lets a mechanic through without it. */
  firm?: true
}

type Asked = Pick<Requirement, 'id' | 'missing' | 'met' | 'firm'>
const ask = (id: string, missing: string, met: boolean): Asked => ({ id, missing, met })

/** Whether a valve is to be set: out, chosen, or in the middle of it. */
export function needsSetting(view: JobView, valve: ValveState): boolean {
  if (valve.nut !== 'locked' || valve.spins || valve.leftAtPlace === view.state.places) return true
  const latest = latestVerdict(view.pin, valve).verdict
  if (latest === 'tight' || latest === 'loose') return true
  if (valve.phase === 'torqued') return verdictIn(view.pin, valve, 'torqued').verdict !== 'in'
  return valve.setChosen && valve.round === 0
}

/** As found is done when the verdict is proved, or cannot be with this set and the valve is to be set; and for a valve that is out, as narrowly as serves the screw and the history. */
export function asFoundDone(view: JobView, valve: ValveState): boolean {
  if (valve.round > 0) return true
  const { verdict, reading } = verdictIn(view.pin, valve, 'as found')
  if (verdict === 'unproved' && !valve.setChosen) return false
  if (verdict === 'in' || (reading.hiMm !== null && reading.hiMm - reading.loMm <= OUT_READING_WIDTH_MM + 1e-9))
    return true
  return expectedPolicy(view, valve)(readingIn(valve, 'as found')?.trials ?? []) === null
}

const isProved = (view: JobView, valve: ValveState): boolean =>
  valve.phase === 'proved' &&
  verdictIn(view.pin, valve, 'proved').verdict === 'in' &&
  valve.readings.some(r => r.phase === 'proved' && r.round === valve.round && r.trials.length > 0)

function ready({ state, pin, tools, ...view }: JobView): Asked[] {
  const { engine, status } = pin.spec
  const gone = new Set(state.cameOff)
  return [
    ask('machine', 'The machine was not confirmed.', state.confirmed.has('machine')),
    ask('spec', 'The spec was not confirmed.', state.confirmed.has('spec')),
    ...unsettledRoles((state.spec ?? tools.pin.spec).engine, state).map(role =>
      ask(`figure:${role}`, `Two figures are printed for the ${role}, and no lead has said which stands.`, false),
    ),
    ask('spec-approved', 'The spec is a draft that no lead has approved.', status === 'approved'),
    ask(
      'cold',
      `The engine is not known to be ${engine.setWhen === 'hot' ? 'warm as the maker asks' : `cold (limit ${engine.coldLimitC} °C)`}.`,
      isCold({ state, pin, nowMs: view.nowMs }),
    ),
    ask('safe', 'Nobody confirmed that the engine cannot start.', state.confirmed.has('safe')),
    ...stripList(engine.stripDown).map(item => ask(`off:${item}`, `“${item}” did not come off.`, gone.has(item))),
    ask('plug-read', 'The plug was not read.', state.plugRead !== null || !gone.has(PLUG)),
    ask('valves', 'Which valve is which was not confirmed.', state.confirmed.has('valves')),
  ]
}

/** A screw opened here by more than any valve lacks, and the blade still refused: whatever the belief says, the valve is not closed here. */
function openedInVain({ state }: JobView, valveId: string): boolean {
  // it was turned back since, and is left alone here
  if (state.valves.some(v => v.valveId === valveId && v.leftAtPlace === state.places)) return false
  const since = state.noted.slice(state.noted.findLastIndex(n => movesCrank(n.observation)) + 1)
  const vain = since.findLastIndex(
    ({ id, observation: o }) => id.endsWith(':vain') && o.kind === 'rocker' && o.valveId === valveId,
  )
  return (
    vain >= 0 && !since.slice(vain).some(({ observation: o }) => o.kind === 'blade' && o.went && o.valveId === valveId)
  )
}

const differsId = ({ state }: JobView, { valveId }: ValveState): string => `differs:${valveId}:${state.places}`
const differencePassed = (view: JobView, valve: ValveState): boolean => passedFor(view, differsId(view, valve)) !== null

/** The position of a stop is asked for while a valve there has something to be done. A reason given counts for this place only. */
function find(view: JobView, { stop, index, valves }: StopWork, todo: (valve: ValveState) => boolean): Asked {
  const vain = valves.find(v => openedInVain(view, v.valveId))
  if (vain)
    return ask(
      `vain:${vain.valveId}:${view.state.places}`,
      `${nameOf(view, vain)}: the screw was opened far, and the blade is still refused.`,
      false,
    )
  // what is not quite closed reads tighter, never looser: where it reads looser, it is the earlier place that was false
  const differs = valves.find(v => !differencePassed(view, v) && differsHere(view, v)?.tighterHere)
  if (differs)
    return ask(differsId(view, differs), `${nameOf(view, differs)}: it reads differently at two places.`, false)
  const id = view.model.plan.stops.length > 1 ? `place:${index + 1}:${view.state.places}` : `place:${view.state.places}`
  return ask(
    id,
    'It is not proved that the valves are closed here.',
    !valves.some(todo) || stopHere(view, s => s === stop) !== null,
  )
}

const measure = (view: JobView, valve: ValveState): Asked =>
  ask(`as-found:${valve.valveId}`, `${nameOf(view, valve)}: as found is not proved.`, asFoundDone(view, valve))
const set = (view: JobView, valve: ValveState): Asked =>
  ask(
    `set:${valve.valveId}`,
    `${nameOf(view, valve)}: ${valve.nut === 'locked' ? 'not set' : 'the locknut is not tight'}.`,
    !needsSetting(view, valve),
  )
/** Tight here and in elsewhere: how far apart the two are is known before its nut is loosened. */
const apart = (view: JobView, valve: ValveState): Asked[] =>
  tellsApart(view, valve)
    ? [ask(`apart:${valve.valveId}`, `${nameOf(view, valve)}: it may read differently at two places.`, false)]
    : []
/** A screw is seldom set further from where it was found than this: each time again it wants a reason. Degrees, from memory */
const FAR_DEG = 540
function far(view: JobView, valve: ValveState): Asked[] {
  const times = Math.floor(Math.abs(valve.screwDeg) / FAR_DEG)
  return valve.nut === 'locked' || times === 0
    ? []
    : [
        ask(
          `far:${valve.valveId}:${times}`,
          `${nameOf(view, valve)}: its screw is ${(Math.abs(valve.screwDeg) / 360).toFixed(1)} turns from where it was found.`,
          false,
        ),
      ]
}
const prove = (view: JobView, valve: ValveState): Asked[] => [
  ask(`proved:${valve.valveId}`, `${nameOf(view, valve)}: not proved after two turns.`, isProved(view, valve)),
  ask(`look-again:${valve.valveId}`, `${nameOf(view, valve)}: what it rested on was taken back.`, !valve.lookAgain),
]

function close({ state, pin }: JobView): Asked[] {
  const { torques } = pin.spec.engine
  const torque = (what: 'cover' | 'plug', nm: number | null) =>
    ask(
      `torque-${what}`,
      `The ${what} was not tightened${nm === null ? '' : ` to ${formatTorque(nm)}`}.`,
      state.torqued[what] !== undefined,
    )
  return [
    {
      ...ask('unplaced', 'Answers of two devices have no order yet.', state.unplaced.length === 0),
      firm: true,
    },
    ...state.putIn.map(item =>
      ask(`out:${item}`, `“${item}” went in and was not seen to come out.`, state.cameOut.has(item)),
    ),
    ask('gasket', 'Nothing was said of the gasket.', state.gasket !== null),
    ...[...state.cameOff]
      .reverse()
      .flatMap(item => [
        ask(`back:${item}`, `“${item}” came off and was not seen to go back.`, state.wentBack.has(item)),
        ...(item === COVER
          ? [torque('cover', torques.coverNm)]
          : item === PLUG
            ? [torque('plug', torques.plugNm)]
            : []),
      ]),
    ask('ran', 'The engine was not run.', state.ran !== null),
    ask('next-due', 'Nothing was said of the next check.', state.nextDue !== null),
  ]
}

const at = (step: Step, asked: Asked[]): (Asked & { step: Step })[] => asked.map(a => ({ ...a, step }))

const isShimmed = ({ pin }: JobView, valve: ValveState): boolean =>
  valveById(pin.spec.engine, valve.valveId).adjuster === 'shim'
/** A shimmed valve is out of the crank's hands until its new shim is in and the cam is back. */
const awaitsShim = (view: JobView, valve: ValveState): boolean =>
  isShimmed(view, valve) &&
  asFoundDone(view, valve) &&
  needsSetting(view, valve) &&
  (view.state.camOut ||
    valve.phase !== 'torqued' ||
    judgeReading(view.pin, presentReading(valve), valve.valveId).verdict !== 'unproved')

/** Whether a valve has something to be done before the engine is turned over. A gate passed for it counts as done. */
const toMeasureOrSet =
  (view: JobView) =>
  (valve: ValveState): boolean =>
    [measure(view, valve), set(view, valve)].some(asked => !asked.met && !passedFor(view, asked.id))
const toProve =
  (view: JobView) =>
  (valve: ValveState): boolean =>
    prove(view, valve).some(asked => !asked.met && !passedFor(view, asked.id))

/** Which stops are looked for now: those of a valve whose nut is loose, else those with a valve still to be measured or set, and after that those still to be proved. */
export function wantedStops(view: JobView): (stop: Stop) => boolean {
  const open = toMeasureOrSet(view)
  const first = view.state.valves.filter(v => open(v) && !awaitsShim(view, v))
  const loose = first.filter(v => v.nut !== 'locked' && !view.model.plan.unserved.includes(v.valveId))
  const todo = [loose, first].find(valves => valves.length > 0) ?? view.state.valves.filter(toProve(view))
  const ids = new Set(todo.map(v => v.valveId))
  return ids.size === 0 ? () => true : stop => stop.valves.some(v => ids.has(v.valveId))
}

/** The stop that is looked for now: the one stood at, else the nearest known way on, else the first that still has work. */
export function nearestStop(view: JobView): Stop | null {
  const wanted = wantedStops(view)
  const standing = standingToward(view.position, wanted)
  return standing.kind === 'open'
    ? (view.model.plan.stops.find(wanted) ?? view.model.plan.stops[0] ?? null)
    : standing.stop
}

/** Valves that no stop of this school serves: measured only with a reason. */
const unserved = (view: JobView): ValveState[] =>
  view.state.valves.filter(v => view.model.plan.unserved.includes(v.valveId))
const noStop = (view: JobView, valve: ValveState): Asked =>
  ask(
    openedInVain(view, valve.valveId)
      ? `vain:${valve.valveId}:${view.state.places}`
      : `no-stop:${valve.valveId}:${view.state.places}`,
    `${nameOf(view, valve)}: no stop of this school serves it.`,
    asFoundDone(view, valve) && !needsSetting(view, valve) && isProved(view, valve),
  )

/** Stop by stop: find it, measure as found, set what is out. Shims come after all stops, for the cam comes out for them once. */
function measuring(view: JobView): (Asked & { step: Step })[] {
  const open = toMeasureOrSet(view)
  const byShim = view.state.valves.filter(v => awaitsShim(view, v))
  const todo = (valve: ValveState) => !byShim.includes(valve) && open(valve)
  return [
    ...stopsInOrder(view, todo).flatMap(work => [
      ...at('find', [find(view, work, todo)]),
      ...at(
        'measure',
        work.valves.flatMap(v => [measure(view, v), ...apart(view, v)]),
      ),
      ...at(
        'set',
        work.valves.filter(v => !byShim.includes(v)).flatMap(v => [...far(view, v), set(view, v)]),
      ),
    ]),
    ...unserved(view).flatMap(v => [
      ...at('find', [noStop(view, v)]),
      ...at('measure', [measure(view, v), ...apart(view, v)]),
      ...(byShim.includes(v) ? [] : at('set', [...far(view, v), set(view, v)])),
    ]),
    ...at(
      'set',
      byShim.map(v => set(view, v)),
    ),
  ]
}

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

/** Turn it over, then go round all stops again. */
function proving(view: JobView): (Asked & { step: Step })[] {
  const todo = toProve(view)
  const more = view.state.proving ? null : oneBladeMore(view)
  return [
    ...at('prove', [
      ...(more
        ? [ask(`narrower:${more.valveId}`, 'Nobody looked whether a decompressor holds the exhaust at the top.', false)]
        : []),
      ask(
        'turned',
        'The engine was not turned over by hand.',
        view.state.proving || view.state.valves.every(v => isProved(view, v)),
      ),
      ...(view.state.proving && decompressorTest(view) && atTop(view)
        ? [
            ask(
              `decompressor-test:${view.state.places}`,
              'Nobody looked whether a decompressor holds the exhaust at the top.',
              false,
            ),
          ]
        : []),
    ]),
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
    ...at(
      'prove',
      secondPlace(view)
        ? [ask('second-place', 'It kicks or is hard to start, and the exhaust was read at its top only.', false)]
        : [],
    ),
  ]
}

const nameOf = (view: JobView, valve: ValveState): string => valveById(view.pin.spec.engine, valve.valveId).name

/** What comes off, in order: the model's own list, then plug and cover, which always do. */
export const stripList = (listed: string[]): string[] => [
  ...listed.filter(item => item !== PLUG && item !== COVER),
  PLUG,
  COVER,
]

const passedFor = ({ state }: JobView, id: string): Passed | null => state.passed.findLast(p => p.gate === id) ?? null

/**
 * All that the six steps ask for, in the order of the work: stop by stop, then round all stops again to prove them.
 * A requirement that is passed names who went through and why.
 */
export function gates(view: JobView): Requirement[] {
  return [...at('ready', ready(view)), ...measuring(view), ...proving(view), ...at('close', close(view))].map(
    asked => ({ ...asked, passed: asked.met || asked.firm ? null : passedFor(view, asked.id) }),
  )
}

/** The first thing still asked for, or null when the job can be signed. */
export const firstOpen = (requirements: Requirement[]): Requirement | null =>
  requirements.find(r => !r.met && r.passed === null) ?? null

/** What is still asked for of one valve, or null. */
export const openOf = (requirements: Requirement[], valveId: string): Requirement | null =>
  firstOpen(
    requirements.filter(
      r => ['as-found', 'set', 'proved', 'look-again'].includes(r.id.split(':')[0]!) && r.id.endsWith(`:${valveId}`),
    ),
  )
