import { cylinderById, type Engine, firingAngle, type Place, signedWay, wrap } from '../engine'

/** How mechanics find their stops. Each is a school of its own; a shop has its favourite, a job may take another. */
export const SCHOOLS = ['maker', 'marks', 'cam-signs', 'rod', 'watching', 'exhaust-opens', 'partner'] as const
export type School = (typeof SCHOOLS)[number]

/** A top mark belongs to a cylinder when it stands at the pointer within this of the cylinder's TDC. */
const MARK_AT_TOP_DEG = 3

/**
 * The place at which a cylinder's piston is at its top: its own mark where the flywheel has one, else the piston
 * itself.
 */
export function topPlace(engine: Engine, cylinderId: string): Place {
  const firing = firingAngle(engine, cylinderId)
  const markIndex = engine.marks.findIndex(
    mark => mark.kind === 'top' && Math.abs(signedWay(mark.angleDeg, firing, 360)) <= MARK_AT_TOP_DEG,
  )
  return markIndex >= 0 ? { kind: 'mark', markIndex } : { kind: 'piston-top', cylinderId }
}

const distinct = (places: Place[]): Place[] => [
  ...new Map(places.map(place => [JSON.stringify(place), place])).values(),
]

/** Every top of the engine, marks first in mind: one a cylinder, or one for two whose pistons rise together. */
export const topPlaces = (engine: Engine): Place[] => distinct(engine.cylinders.map(c => topPlace(engine, c.id)))

/** Past each top by so much, where the source measures there; else null. */
const sourcesPlaces = ({ measuredAt, cylinders }: Engine): Place[] | null =>
  measuredAt.kind === 'past top'
    ? cylinders.map(c => ({ kind: 'rod-drop', cylinderId: c.id, dropMm: measuredAt.dropMm }))
    : null

/**
 * The places a school stops at, before it is asked which valves they serve.
 * Fire and advance marks are never a place to stop at. Source: common practice.
 */
export function placesOfSchool(engine: Engine, school: School): Place[] {
  const valves = (role: 'intake' | 'exhaust', sight: 'starts to open' | 'just closed' | 'fully open'): Place[] =>
    engine.valves.filter(v => v.role === role).map(v => ({ kind: 'valve', valveId: v.id, sight }))
  switch (school) {
    case 'maker':
      return engine.makersStops.map(stop => stop.place)
    case 'marks':
    case 'watching':
      return sourcesPlaces(engine) ?? topPlaces(engine)
    case 'rod':
      return sourcesPlaces(engine) ?? engine.cylinders.map(c => ({ kind: 'piston-top', cylinderId: c.id }))
    case 'cam-signs':
      return engine.camMarks.map((_, camMarkIndex) => ({ kind: 'cam-mark', camMarkIndex }))
    case 'exhaust-opens':
      return [...valves('exhaust', 'starts to open'), ...valves('intake', 'just closed')]
    case 'partner':
      return [...valves('intake', 'fully open'), ...valves('exhaust', 'fully open')]
  }
}

/**
 * The partner of a cylinder, whose valve is fully down while this one's is measured: the one that fires a turn away, or
 * null.
 */
export function partnerOf(engine: Engine, cylinderId: string): Engine['cylinders'][number] | null {
  const firing = cylinderById(engine, cylinderId).firingAngleDeg
  return engine.cylinders.find(c => c.id !== cylinderId && wrap(c.firingAngleDeg - firing) === 360) ?? null
}

/** The schools that this engine can be done by. The maker's own list comes first where there is one. */
export const schoolsFor = (engine: Engine): School[] =>
  SCHOOLS.filter(school => {
    if (school === 'maker') return engine.makersStops.length > 0
    if (school === 'marks') return engine.marks.some(m => m.kind === 'top')
    if (school === 'cam-signs') return engine.camMarks.length > 0
    return school !== 'partner' || engine.cylinders.some(c => partnerOf(engine, c.id) !== null)
  })

/**
 * The school a job begins with: the maker's list where there is one, else the shop's favourite where it can be, else
 * the first that can.
 */
export function firstSchool(engine: Engine, favourite: School | null): School {
  const able = schoolsFor(engine)
  if (able[0] === 'maker') return 'maker'
  return favourite !== null && able.includes(favourite) ? favourite : able[0]!
}
