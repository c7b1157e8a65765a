import type { QuantityKind } from './quantities'

/**
 * What a page can say a figure is of. `else` is something that no field holds, and keeps its figures from the fields.
 */
export type Topic =
  | 'intake'
  | 'exhaust'
  | 'both'
  | 'clearance'
  | 'locknut'
  | 'cover'
  | 'plug'
  | 'plugGap'
  | 'bore'
  | 'stroke'
  | 'boreStroke'
  | 'cold'
  | 'every'
  | 'first'
  | 'fire'
  | 'else'
export interface Label {
  topic: Topic
  start: number
  end: number
  /** Whether it names a valve of its own: “intake valve”, not “intake” alone. */
  full: boolean
}

/** Which figures each topic can have. */
export const KINDS: Record<Topic, readonly QuantityKind[]> = {
  intake: ['length', 'bare'],
  exhaust: ['length', 'bare'],
  both: ['length', 'bare'],
  clearance: ['length', 'bare'],
  locknut: ['torque'],
  cover: ['torque'],
  plug: ['torque'],
  plugGap: ['length'],
  bore: ['length'],
  stroke: ['length'],
  boreStroke: ['length', 'bare'],
  cold: ['temperature'],
  every: ['use', 'months'],
  first: ['use'],
  fire: ['angle'],
  else: ['length', 'torque', 'temperature', 'use', 'months', 'angle', 'bare', 'other'],
}

/**
 * Words of manuals as pieces of regular expressions, English and Spanish, from memory of the trade. Where two begin at
 * one place the longer counts, so “cylinder head cover” is no cylinder head.
 */
const WORDS: { topic: Topic; exactCase?: true; phrases: string[] }[] = [
  {
    topic: 'else',
    phrases: [
      String.raw`valve[ -](?:stem|guide|seat|spring|lift|timing|head diameter)s?(?:[ -](?:to[ -])?(?:guide|bore))?(?: (?:clearance|gap))?`,
      String.raw`stem[ -]to[ -]guide(?: clearance)?`,
      String.raw`(?:gu[íi]a|v[áa]stago|resorte|muelle|asiento)s? de (?:la )?v[áa]lvulas?`,
    ],
  },
  {
    topic: 'else',
    phrases: [
      String.raw`piston[ -]to[ -](?:cylinder|bore)(?: clearance)?`,
      String.raw`piston (?:ring|pin|clearance)`,
      String.raw`ring (?:end )?gap`,
      String.raw`(?:side|oil|thrust|end|shaft|bearing) clearance`,
      String.raw`backlash`,
      String.raw`free (?:play|length)`,
      String.raw`service limit`,
      String.raw`wear limit`,
      String.raw`l[íi]mite(?: de servicio)?`,
      String.raw`run-?out`,
      String.raw`(?:inside|inner|outside|outer) diameter`,
      String.raw`di[áa]metro (?:interior|exterior)`,
      String.raw`rocker arm (?:shaft|bore)`,
      String.raw`\b[io]\.?d\.?\b`,
    ],
  },
  {
    topic: 'else',
    phrases: [
      String.raw`(?:oil )?drain (?:bolt|plug)`,
      String.raw`oil (?:drain|filter|level|capacity|pump|change)`,
      String.raw`engine oil`,
      String.raw`tap[óo]n de (?:vaciado|drenaje)`,
      String.raw`aceite`,
      String.raw`cylinder head (?:bolt|nut|stud)s?`,
      String.raw`(?:tuercas?|tornillos?|pernos?) de (?:la )?culata`,
      String.raw`cam(?:shaft)? (?:holder|sprocket|cap)[\w ]*`,
      String.raw`fly ?wheel (?:bolt|nut)`,
      String.raw`rotor (?:bolt|nut)`,
      String.raw`crank ?case`,
      String.raw`clutch`,
      String.raw`exhaust (?:pipe|muffler|manifold)`,
      String.raw`intake (?:pipe|manifold)`,
      String.raw`muffler`,
      String.raw`silencer`,
      String.raw`axle`,
      String.raw`air (?:filter|cleaner)`,
      String.raw`fuel`,
      String.raw`carburetor`,
      String.raw`brake`,
      String.raw`chain`,
      String.raw`tire`,
    ],
  },
  {
    topic: 'else',
    phrases: [
      String.raw`compression (?:pressure|ratio|test)`,
      String.raw`cylinder compression`,
      String.raw`compresi[óo]n del cilindro`,
      String.raw`idle speed`,
      String.raw`ralent[íi]`,
      String.raw`battery`,
      String.raw`fuse`,
      String.raw`generator output`,
      String.raw`displacement`,
      String.raw`cilindrada`,
      String.raw`capacity`,
      String.raw`firing order`,
    ],
  },
  {
    topic: 'else',
    phrases: [
      String.raw`compression stroke`,
      String.raw`power stroke`,
      String.raw`intake stroke`,
      String.raw`exhaust stroke`,
      String.raw`carrera de (?:compresi[óo]n|admisi[óo]n|escape)`,
      String.raw`decompressor`,
      String.raw`limit\b`,
    ],
  },
  {
    topic: 'clearance',
    phrases: [
      String.raw`(?:valves?|tappets?|rockers?)(?: \w+)? (?:clearances?|lash|gaps?|adjustment)`,
      String.raw`(?:holguras?|juegos?)(?: de)?(?: las?)? v[áa]lvulas?`,
      String.raw`clearance of (?:the )?(?:both )?valves?`,
      String.raw`reglaje de v[áa]lvulas?`,
      String.raw`taqu[ée]s`,
      String.raw`holguras?`,
      String.raw`clearances?`,
    ],
  },
  {
    topic: 'both',
    phrases: [
      String.raw`both(?: the)? (?:valves?|clearances?)`,
      String.raw`intake (?:and|&) exhaust`,
      String.raw`inlet (?:and|&) exhaust`,
      String.raw`\bIN\s?[.]?\s?[/&,+]\s?EX\b`,
      String.raw`admisi[óo]n y (?:de )?escape`,
      String.raw`ambas v[áa]lvulas`,
    ],
  },
  {
    topic: 'intake',
    phrases: [String.raw`(?:intake|inlet)(?: valves?)? (?:clearances?|lash|gap)`],
  },
  {
    topic: 'exhaust',
    phrases: [String.raw`exhaust(?: valves?)? (?:clearances?|lash|gap)`],
  },
  {
    topic: 'intake',
    phrases: [
      String.raw`(?:intake|inlet)(?: valves?| side)?`,
      String.raw`v[áa]lvulas? de admisi[óo]n`,
      String.raw`admisi[óo]n`,
    ],
  },
  {
    topic: 'exhaust',
    phrases: [String.raw`exhaust(?: valves?| side)?`, String.raw`v[áa]lvulas? de escape`, String.raw`escape`],
  },
  {
    topic: 'intake',
    phrases: [String.raw`(?<=[\s(])adm\.`, String.raw`(?<=[\s(])int\.`],
  },
  {
    topic: 'exhaust',
    phrases: [String.raw`(?<=[\s(])esc\.`, String.raw`(?<=[\s(])exh?\.`],
  },
  {
    topic: 'intake',
    exactCase: true,
    phrases: [String.raw`\b(?:IN|INT|ADM)\b(?=[.:,;)\s|=(]|$)`],
  },
  {
    topic: 'exhaust',
    exactCase: true,
    phrases: [String.raw`\b(?:EX|EXH|ESC)\b(?=[.:,;)\s|=(]|$)`],
  },
  {
    topic: 'locknut',
    phrases: [
      String.raw`(?:(?:valve|tappet|rocker(?: arm)?)[ -])?(?:adjust(?:er|ing|ment)?[ -])?(?:screw[ -])?(?:lock|jam)[ -]?nuts?(?:, valve adjuster)?`,
      String.raw`(?:(?:valve|tappet|rocker(?: arm)?)[ -])?adjust(?:er|ing)[ -](?:screw[ -])?nuts?`,
      String.raw`(?:contra|tuerca de (?:bloqueo|seguridad|fijaci[óo]n)|tuerca del ajustador)(?:tuercas?)?(?: del? (?:tornillo de ajuste|ajustador))?`,
    ],
  },
  {
    topic: 'cover',
    phrases: [
      String.raw`(?:cylinder[ -])?head[ -]cover(?:[ -](?:bolt|screw|nut)s?)?`,
      String.raw`(?:rocker(?: arm)?|valve|cam(?:shaft)?|tappet)[ -](?:box )?covers?(?:[ -](?:bolt|screw|nut)s?)?`,
      String.raw`cover (?:bolt|screw)s?`,
      String.raw`(?:tornillos? de (?:la )?)?tapas? de (?:la )?(?:culata|balancines|v[áa]lvulas)`,
    ],
  },
  {
    topic: 'plugGap',
    phrases: [
      String.raw`(?:spark[ -])?plug (?:electrode )?gap`,
      String.raw`electrode gap`,
      String.raw`(?:separaci[óo]n|abertura|holgura)(?: de)?(?: los)?(?: electrodos?)?(?: de)?(?: la)? buj[íi]a`,
      String.raw`separaci[óo]n de electrodos(?: de la buj[íi]a)?`,
    ],
  },
  {
    topic: 'plug',
    phrases: [String.raw`spark[ -]plugs?`, String.raw`plugs?, spark`, String.raw`\bplugs?\b`, String.raw`buj[íi]as?`],
  },
  {
    topic: 'boreStroke',
    phrases: [String.raw`bore\s?[x×&*]\s?stroke`, String.raw`di[áa]metro\s?[x×]\s?carrera`],
  },
  {
    topic: 'bore',
    phrases: [String.raw`(?:cylinder )?\bbore\b`, String.raw`di[áa]metro(?: del cilindro)?`],
  },
  {
    topic: 'stroke',
    phrases: [String.raw`(?:piston )?\bstroke\b`, String.raw`carrera`],
  },
  {
    topic: 'cold',
    phrases: [
      String.raw`\bcold\b`,
      String.raw`\bcool\b`,
      String.raw`fr[íi]o`,
      String.raw`room temperature`,
      String.raw`temperatura ambiente`,
    ],
  },
  {
    topic: 'first',
    phrases: [
      String.raw`\b(?:first|initial(?:ly)?|break-in)\b(?! comes| gear)`,
      String.raw`primera(?: revisi[óo]n)?`,
      String.raw`inicial`,
    ],
  },
  {
    topic: 'every',
    phrases: [
      String.raw`\bevery\b`,
      String.raw`\beach\b`,
      String.raw`\bcada\b`,
      String.raw`\bintervals?\b`,
      String.raw`intervalos?`,
    ],
  },
  {
    topic: 'fire',
    exactCase: true,
    phrases: [
      String.raw`["“'«]?\bF\b["”'»]?(?= mark)`,
      String.raw`(?<=marca )["“'«]?F\b["”'»]?`,
      String.raw`ignition timing`,
      String.raw`encendido`,
      String.raw`avance`,
    ],
  },
]

/** As they stand on a page, where a line may break between any two words. */
const SHAPES = WORDS.map(({ topic, exactCase, phrases }) => {
  const source = phrases.join('|').replaceAll('[ -]', '[\\s-]').replaceAll(' ', '\\s+')
  return [topic, new RegExp(source, exactCase ? 'gu' : 'giu')] as const
})

/** The words of a page that say what its figures are of, in their order; of two that overlap the longer. */
export function labelsIn(page: string): Label[] {
  const all = SHAPES.flatMap(([topic, shape]) =>
    [...page.matchAll(shape)].map(m => ({
      topic,
      start: m.index,
      end: m.index + m[0].length,
      full: /valve|side|v[áa]lvula|clearance|lash|gap/i.test(m[0]),
    })),
  ).sort((a, b) => b.end - b.start - (a.end - a.start))
  const kept: Label[] = []
  for (const label of all) if (!kept.some(k => k.start < label.end && label.start < k.end)) kept.push(label)
  return kept.sort((a, b) => a.start - b.start)
}
