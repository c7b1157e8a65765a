import type { SafeThing } from './making-safe'
import { type Part, plainPart } from './part'

/** Kinds of machine whose usual parts are known. */
export const MACHINE_KINDS = ['mower', 'generator', 'scooter', 'motorcycle', 'ATV', 'tractor'] as const
export type MachineKind = (typeof MACHINE_KINDS)[number]

/** What a spec book's own word for a kind of machine most likely is; null where nothing fits. */
export function machineKind(kind: string): MachineKind | null {
  const word = kind.toLowerCase()
  if (/mow|till|trim|blower/.test(word)) return 'mower'
  if (/gener|pump|compress/.test(word)) return 'generator'
  if (/scoot|moped/.test(word)) return 'scooter'
  if (/atv|quad|side.?by|utv/.test(word)) return 'ATV'
  if (/tract|ride/.test(word)) return 'tractor'
  return /motor|bike|cycle|side.?car/.test(word) ? 'motorcycle' : null
}

const SAFE: Record<MachineKind, SafeThing[]> = {
  mower: ['blade', 'fuel', 'plug lead', 'recoil'],
  generator: ['key', 'fuel', 'plug lead', 'recoil'],
  scooter: ['stand', 'key', 'plug lead'],
  motorcycle: ['stand', 'gear', 'key', 'fuel', 'plug lead'],
  ATV: ['gear', 'key', 'fuel', 'battery', 'plug lead'],
  tractor: ['gear', 'key', 'blade', 'fuel', 'battery', 'plug lead'],
}
/** What such a machine has to be made safe. */
export const usualSafeThings = (kind: MachineKind): SafeThing[] => SAFE[kind]

/** Usual names of parts; words/ has them in each language. */
export type UsualPart =
  | 'shroud'
  | 'end panel'
  | 'seat'
  | 'seat box'
  | 'fan cowl'
  | 'left side panel'
  | 'right side panel'
  | 'fuel hose'
  | 'fuel tank'
  | 'hood'
  | 'plug lead'
  | 'spark plug'
  | 'timing plug'
  | 'crank cap'
  | 'valve cover'

/** What usually has to come off to reach the engine, with how many fasteners. Common practice. */
const AROUND: Record<MachineKind, [name: UsualPart, kind: Part['kind'], fasteners: number][]> = {
  mower: [['shroud', 'panel', 3]],
  generator: [['end panel', 'panel', 4]],
  scooter: [
    ['seat box', 'panel', 4],
    ['fan cowl', 'panel', 4],
  ],
  motorcycle: [
    ['seat', 'panel', 2],
    ['left side panel', 'panel', 1],
    ['right side panel', 'panel', 1],
    ['fuel hose', 'hose', 0],
    ['fuel tank', 'tank', 2],
  ],
  ATV: [
    ['seat', 'panel', 0],
    ['left side panel', 'panel', 2],
    ['right side panel', 'panel', 2],
    ['fuel hose', 'hose', 0],
    ['fuel tank', 'tank', 4],
  ],
  tractor: [
    ['hood', 'panel', 2],
    ['shroud', 'panel', 6],
  ],
}

/** What the usual list takes of an engine. */
export interface EngineInBrief {
  cylinders: readonly { id: string; name: string }[]
  marks: readonly unknown[]
  torques: { coverNm: number | null; plugNm: number | null }
}

/**
 * The usual list for a machine with such an engine: around it, then by cylinder lead and plug, the plugs over crank
 * and marks where there are any, covers last. Thread, trap and tool are left for whoever has the manual.
 * @param nameOf how a part is called, with its cylinder’s name where there are several
 */
export function usualParts(
  kind: MachineKind,
  { cylinders, marks, torques }: EngineInBrief,
  nameOf: (what: UsualPart, cylinder: string | null) => string,
): Part[] {
  const around = AROUND[kind].map(([what, partKind, count]) => ({
    ...plainPart(nameOf(what, null), partKind),
    fasteners: count > 0 ? [{ count, threadMm: null, lengthMm: null, odd: '' }] : [],
  }))
  const own = (what: UsualPart, name: string) => nameOf(what, cylinders.length > 1 ? name : null)
  const ignition = cylinders.flatMap(({ id, name }) => [
    { ...plainPart(own('plug lead', name), 'plug lead'), cylinderId: id },
    { ...plainPart(own('spark plug', name), 'spark plug'), cylinderId: id, torqueNm: torques.plugNm },
  ])
  const covers = cylinders.map(({ id, name }) => ({
    ...plainPart(own('valve cover', name), 'cover'),
    cylinderId: id,
    torqueNm: torques.coverNm,
    pattern: 'crossing' as const,
    seal: { kind: 'gasket' as const, on: '', skinMinutes: null, clean: true, oiled: false },
  }))
  const byHand = kind === 'mower' || kind === 'generator'
  const caps =
    marks.length > 0 && !byHand
      ? [plainPart(nameOf('timing plug', null), 'timing plug'), plainPart(nameOf('crank cap', null), 'crank cap')]
      : []
  return [...around, ...ignition, ...caps, ...covers]
}
