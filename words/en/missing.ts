import type { Role } from '../../core/engine'
import type { Tell, Text } from '../../core/said'
import { formatTorque } from '../../core/units'

interface OfValve {
  valve: string
}
interface Item {
  item: string
}

/** What a step still asks for: read at the gate, and on the sheet where somebody went on without it. */
export const missing = {
  'missing.machine': 'The machine was not confirmed.',
  'missing.spec': 'The spec was not confirmed.',
  'missing.figure': ({ role }: { role: Role }) =>
    `Two figures are printed for the ${role}, and no lead has said which is right.`,
  'missing.spec-approved': 'The spec is a draft that no lead has approved.',
  'missing.warm': 'The engine is not known to be warm as the maker asks.',
  'missing.cold': ({ limitC }: { limitC: number }) => `The engine is not known to be cold (limit ${limitC} °C).`,
  'missing.safe': 'Nobody confirmed that the engine cannot start.',
  'missing.off': ({ item }: Item) => `“${item}” did not come off.`,
  'missing.plug-read': 'The plug was not read.',
  'missing.plug-gap': 'The plug’s gap was not measured.',
  'missing.valves': 'Which valve is which was not confirmed.',

  'missing.vain': ({ valve }: OfValve) => `${valve}: the screw was opened a long way, and the blade still won’t go in.`,
  'missing.differs': ({ valve }: OfValve) => `${valve}: it reads differently at two places.`,
  'missing.place': 'It is not proved that the valves are closed here.',
  'missing.no-stop': ({ valve }: OfValve) => `${valve}: no stop of this method works for it.`,
  'missing.off-stop': ({ valve }: OfValve) => `${valve}: measured at a stop that does not serve it.`,
  'missing.second-place': ({ valve }: OfValve) =>
    `${valve}: it may be held open at the top, and was read nowhere else.`,
  'missing.second-place.complaint': 'It kicks or starts hard, and the exhaust was only measured at the top.',
  'missing.decompressor': 'Nobody checked whether a decompressor holds the exhaust at the top.',
  'missing.turned': 'The engine was not turned over by hand.',

  'missing.as-found': ({ valve }: OfValve) => `${valve}: the as-found reading is not proved.`,
  'missing.set': ({ valve }: OfValve) => `${valve}: not set.`,
  'missing.locknut': ({ valve }: OfValve) => `${valve}: the locknut is not tight.`,
  'missing.apart': ({ valve }: OfValve) => `${valve}: it may read differently at two places.`,
  'missing.far': ({ valve, turns }: OfValve & { turns: number }) =>
    `${valve}: its screw is ${turns.toFixed(1)} turns from where you found it.`,
  'missing.proved': ({ valve }: OfValve) => `${valve}: not proved after two turns.`,
  'missing.look-again': ({ valve }: OfValve) => `${valve}: an answer it relied on was undone.`,

  'missing.order': 'Answers of two devices have no order yet.',
  'missing.out': ({ item }: Item) => `“${item}” went in and was not seen to come out.`,
  'missing.gasket': 'Nothing was said of the gasket.',
  'missing.back': ({ item }: { item: Text }, tell: Tell) => `${tell(item)} was removed and not seen to go back.`,
  'missing.torque': ({ part, torqueNm }: { part: 'cover' | 'plug'; torqueNm: number | null }) =>
    `The ${part} was not tightened${torqueNm === null ? '' : ` to ${formatTorque(torqueNm)}`}.`,
  'missing.ran': 'The engine was not run.',
  'missing.next-due': 'Nothing was said of the next check.',
}
