import { type Feel, type HandBands, USUAL_HAND } from '../feeler'
import { type Said, say } from '../said'
import { kickDeg } from './crank'
import { pistonBelowTopMm } from './motion'
import { localDeg, roomMm, type VirtualEngine } from './virtual-engine'

/** A rocker clicks from so much play on. mm, from memory. */
export const CLICKS_FROM_MM = 0.012
/**
 * Pull on a blade in newtons, at the edges of each feel. Common practice for the order of feels; the figures are from
 * memory.
 */
export const PULL_N = { free: 0.2, leastDrag: 0.6, mostDrag: 3, leastPinch: 4, mostPinch: 12, refused: 15 }

/** What is touched. `handMm` is how far this hand's own feel is off this time. */
export type Touch =
  | {
      kind: 'blade'
      valveId: string
      engravedMm: readonly number[]
      thickMm: number
      handMm?: number
      bands?: HandBands
    }
  | { kind: 'rocker'; valveId: string; clicksFromMm?: number }
  | { kind: 'rod'; cylinderId: string }
  | { kind: 'crank' }

export interface BladeFelt {
  feel: Feel
  forceN: number
  words: Said
}
export interface RockerFelt {
  slack: boolean
  travelMm: number
  words: Said
}
export interface RodFelt {
  belowTopMm: number
  words: Said
}
export interface CrankFelt {
  kickDeg: number
  words: Said
}
interface FeltBy {
  blade: BladeFelt
  rocker: RockerFelt
  rod: RodFelt
  crank: CrankFelt
}

/** How thick blades really are, mm: what is believed of them, and what each is off. */
export const trueThicknessMm = ({ nature }: VirtualEngine, engravedMm: readonly number[], thickMm: number): number =>
  engravedMm.reduce((sum, mm) => sum + (nature.bladeOffMm[String(mm)] ?? 0), thickMm)

/** The feel of so much room beyond the blade: free and drag go, pinched goes in and is held, no-go does not enter. */
export function feelOfRoom(spareMm: number, { dragMm, pinchMm }: HandBands = USUAL_HAND): Feel {
  if (spareMm < -pinchMm) return 'no-go'
  return spareMm < 0 ? 'pinched' : spareMm < dragMm ? 'drag' : 'free'
}

/**
 * The pull on a blade with so much room to spare, in newtons: nearly none, then more the less room there is, up to
 * where it does not enter.
 */
export function pullN(spareMm: number, { dragMm, pinchMm }: HandBands = USUAL_HAND): number {
  switch (feelOfRoom(spareMm, { dragMm, pinchMm })) {
    case 'free':
      return PULL_N.free
    case 'drag':
      return PULL_N.mostDrag - ((PULL_N.mostDrag - PULL_N.leastDrag) * spareMm) / dragMm
    case 'pinched':
      return PULL_N.leastPinch + ((PULL_N.mostPinch - PULL_N.leastPinch) * -spareMm) / pinchMm
    case 'no-go':
      return PULL_N.refused
  }
}

function bladeFelt(
  v: VirtualEngine,
  { valveId, engravedMm, thickMm, handMm = 0, bands }: Extract<Touch, { kind: 'blade' }>,
): BladeFelt {
  const spareMm = roomMm(v, valveId) - trueThicknessMm(v, engravedMm, thickMm) + handMm
  const feel = feelOfRoom(spareMm, bands)
  return { feel, forceN: pullN(spareMm, bands), words: say('felt.blade', { feel }) }
}

function rockerFelt(v: VirtualEngine, valveId: string, clicksFromMm = CLICKS_FROM_MM): RockerFelt {
  const travelMm = Math.max(0, roomMm(v, valveId))
  const slack = travelMm >= clicksFromMm
  return { slack, travelMm, words: say('felt.rocker', { slack }) }
}

function rodFelt(v: VirtualEngine, cylinderId: string): RodFelt {
  const belowTopMm = pistonBelowTopMm(v.engine, localDeg(v, cylinderId))
  return {
    belowTopMm,
    words: belowTopMm < 0.15 ? say('felt.rod-top') : say('felt.rod-down', { down: belowTopMm.toFixed(1) }),
  }
}

function crankFelt(v: VirtualEngine): CrankFelt {
  const kick = kickDeg(v)
  return { kickDeg: kick, words: kick === 0 ? say('felt.rests') : say('felt.runs-on') }
}

/**
 * What a hand feels: the pull on a blade in newtons and its name, whether a rocker clicks, how far down the rod stands,
 * whether the crank rests. It tells no more than a hand could: the reasons stay hidden.
 */
export function feelOf<K extends Touch['kind']>(v: VirtualEngine, touch: Extract<Touch, { kind: K }>): FeltBy[K]
export function feelOf(v: VirtualEngine, touch: Touch): FeltBy[Touch['kind']] {
  switch (touch.kind) {
    case 'blade':
      return bladeFelt(v, touch)
    case 'rocker':
      return rockerFelt(v, touch.valveId, touch.clicksFromMm)
    case 'rod':
      return rodFelt(v, touch.cylinderId)
    case 'crank':
      return crankFelt(v)
  }
}
