import { type Part, plainPart } from '../access'
import type { Engine } from '../engine'
import { say, type Text } from '../said'

export const PLUG = 'Spark plug'
/** As every job keeps it. */
export const COVER = 'Rocker cover'
/** What a part that comes off is called. */
export const itemWords = (item: string): Text =>
  item === COVER ? say('part.cover') : item === PLUG ? say('part.plug') : item

/** What comes off, in order: the model's own list, then plug and cover, which always do. */
export const stripList = (listed: string[]): string[] => [
  ...listed.filter(item => item !== PLUG && item !== COVER),
  PLUG,
  COVER,
]

/** The kind of a plain list's item: of its names only two are known. */
const plain = (name: string, { torques }: Engine): Part =>
  name === COVER
    ? { ...plainPart(name, 'cover'), torqueNm: torques.coverNm }
    : name === PLUG
      ? { ...plainPart(name, 'spark plug'), torqueNm: torques.plugNm }
      : plainPart(name)

/** What comes off an engine, in order, with all that is on record of each. */
export const partsToRemove = (engine: Engine): Part[] =>
  engine.parts ?? stripList(engine.stripDown).map(name => plain(name, engine))

/** A part by its name; one that the engine's list has not was added at the Bench, and is plain. */
export const partNamed = (engine: Engine, name: string): Part =>
  partsToRemove(engine).find(p => p.name === name) ?? plain(name, engine)

/** Whether a part is torqued, or tightened evenly: covers and plugs always, others where a figure is on record. */
export const isTightened = ({ kind, torqueNm }: Part): boolean =>
  kind === 'cover' || kind === 'spark plug' || torqueNm !== null

/** A seal of which there is more than one to choose from. */
export const hasGasket = ({ seal }: Part): boolean => seal?.kind === 'gasket' || seal?.kind === 'half-moon'

/** Screws whose locknuts are gone over before the cover goes on: those that have one. */
export const locknutCount = ({ valves, adjuster }: Engine): number =>
  adjuster.kind === 'pivot-nut' && adjuster.lockedBy === 'own grip'
    ? 0
    : valves.filter(v => v.adjuster === 'screw').length
