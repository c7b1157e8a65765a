import type { MarkShape, ValveSight } from '../../core/engine'
import { listed, markLook, whose, within } from './grammar'

interface OfCylinder {
  /** The cylinder’s name, or null on a single. */
  cylinder: string | null
}
type Top = 'compression' | 'exhaust'
type Drop = OfCylinder & { dropMm: number }
interface Seen {
  valve: string
  sight: ValveSight
}

const HOW: Record<ValveSight, string> = {
  'just closed': 'just closed',
  'open': 'open',
  'fully open': 'fully down',
  'starts to open': 'just opening',
}
const UNTIL: Record<ValveSight, string> = {
  'just closed': 'has just closed',
  'open': 'is open',
  'fully open': 'is fully down',
  'starts to open': 'starts to open',
}
const OPENING: Record<ValveSight, string> = { ...HOW, 'starts to open': 'opening' }
const LOOKS: Record<ValveSight, string> = {
  'just closed': 'Just closed',
  'open': 'Open',
  'fully open': 'Fully down',
  'starts to open': 'Starts to open',
}

const valveAt = ({ valve, sight }: Seen): string => `the ${within(valve)} ${HOW[sight]}`

/** Where the crank stands: as somebody stands on it, how it is reached, and how it is looked at again. */
export const places = {
  'place.mark': ({ letter }: { letter: string }) => letter,
  'place.the-mark': 'the mark',
  'place.top': ({ cylinder }: OfCylinder) => `the ${whose(cylinder)}top`,
  'place.past-top': ({ cylinder, dropMm }: Drop) => `${dropMm} mm past ${whose(cylinder)}top`,
  'place.cam-sign': 'the cam sign',
  'place.valve': valveAt,

  'mark.look': ({ letter, shape }: { letter: string; shape: MarkShape }) => markLook(letter, shape),
  'until.mark': ({ letter, shape }: { letter: string; shape?: MarkShape }) =>
    `${shape ? markLook(letter, shape) : letter} lines up`,
  'until.the-mark': 'the mark lines up',
  'until.top': ({ cylinder }: OfCylinder) =>
    `the rod ${cylinder === null ? '' : `in the ${whose(cylinder)}cylinder `}stops rising`,
  'until.past-top': ({ cylinder, dropMm }: Drop) => `the ${whose(cylinder)}piston is ${dropMm} mm past top`,
  'until.cam-sign': 'the cam sign is right',
  'until.valve': ({ valve, sight }: Seen) => `the ${within(valve)} ${UNTIL[sight]}`,

  'still.mark': ({ letter, shape }: { letter: string; shape?: MarkShape }) =>
    `Is ${shape ? markLook(letter, shape) : letter} still at the pointer?`,
  'still.the-mark': 'Is the mark still at the pointer?',
  'still.top': ({ cylinder }: OfCylinder) => `Is the ${whose(cylinder)}piston still at its top?`,
  'still.past-top': ({ cylinder, dropMm }: Drop) => `Is the ${whose(cylinder)}piston still ${dropMm} mm down?`,
  'still.cam-sign': 'Is the cam sign still right?',
  'still.valve': (seen: Seen) => `Is ${valveAt(seen)} still?`,

  'seen.valve': ({ valve, sight }: Seen) => `${within(valve)} seen ${OPENING[sight]}`,
  'looks.valve': ({ sight }: Pick<Seen, 'sight'>) => LOOKS[sight],
  'looks.top': 'At its top',
  'looks.past-top': ({ dropMm }: { dropMm: number }) => `${dropMm} mm past top`,
  'part.name': ({ part }: { part: string }) => part,
  'place.of-cycle': ({ stroke, cylinder, pastDeg }: OfCylinder & { stroke: Top; pastDeg: number }) => {
    const top = `${cylinder === null ? '' : `${cylinder}, `}${stroke} TDC`
    return pastDeg === 0 ? top : `${Math.abs(pastDeg)}° ${pastDeg > 0 ? 'past' : 'before'} ${top}`
  },
  'list': ({ of }: { of: readonly string[] }) => listed(of),
}
