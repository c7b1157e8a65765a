import type { QuantityKind } from './quantities'

/** What a page can say a figure is of. `else` is something that no field holds, and keeps its figures from the fields. */
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
 * Words of manuals, English and Spanish, from memory of the trade. Where two begin at one place the longer counts, so
 * “cylinder head cover” is no cylinder head.
 */
const WORDS: [Topic, RegExp][] = [
  [
    'else',
    /valve[ -](?:stem|guide|seat|spring|lift|timing|head diameter)s?(?:[ -](?:to[ -])?(?:guide|bore))?(?: (?:clearance|gap))?|stem[ -]to[ -]guide(?: clearance)?|(?:gu[íi]a|v[áa]stago|resorte|muelle|asiento)s? de (?:la )?v[áa]lvulas?/giu,
  ],
  [
    'else',
    /piston[ -]to[ -](?:cylinder|bore)(?: clearance)?|piston (?:ring|pin|clearance)|ring (?:end )?gap|(?:side|oil|thrust|end|shaft|bearing) clearance|backlash|free (?:play|length)|service limit|wear limit|l[íi]mite(?: de servicio)?|run-?out|(?:inside|inner|outside|outer) diameter|di[áa]metro (?:interior|exterior)|rocker arm (?:shaft|bore)|\b[io]\.?d\.?\b/giu,
  ],
  [
    'else',
    /(?:oil )?drain (?:bolt|plug)|oil (?:drain|filter|level|capacity|pump|change)|engine oil|tap[óo]n de (?:vaciado|drenaje)|aceite|cylinder head (?:bolt|nut|stud)s?|(?:tuercas?|tornillos?|pernos?) de (?:la )?culata|cam(?:shaft)? (?:holder|sprocket|cap)[\w ]*|fly ?wheel (?:bolt|nut)|rotor (?:bolt|nut)|crank ?case|clutch|exhaust (?:pipe|muffler|manifold)|intake (?:pipe|manifold)|muffler|silencer|axle|air (?:filter|cleaner)|fuel|carburetor|brake|chain|tire/giu,
  ],
  [
    'else',
    /compression (?:pressure|ratio|test)|cylinder compression|compresi[óo]n del cilindro|idle speed|ralent[íi]|battery|fuse|generator output|displacement|cilindrada|capacity|firing order/giu,
  ],
  [
    'else',
    /compression stroke|power stroke|intake stroke|exhaust stroke|carrera de (?:compresi[óo]n|admisi[óo]n|escape)|decompressor|limit\b/giu,
  ],
  [
    'clearance',
    /(?:valves?|tappets?|rockers?)(?: \w+)? (?:clearances?|lash|gaps?|adjustment)|(?:holguras?|juegos?)(?: de)?(?: las?)? v[áa]lvulas?|clearance of (?:the )?(?:both )?valves?|reglaje de v[áa]lvulas?|taqu[ée]s|holguras?|clearances?/giu,
  ],
  [
    'both',
    /both(?: the)? (?:valves?|clearances?)|intake (?:and|&) exhaust|inlet (?:and|&) exhaust|\bIN\s?[.]?\s?[/&,+]\s?EX\b|admisi[óo]n y (?:de )?escape|ambas v[áa]lvulas/giu,
  ],
  ['intake', /(?:intake|inlet)(?: valves?)? (?:clearances?|lash|gap)/giu],
  ['exhaust', /exhaust(?: valves?)? (?:clearances?|lash|gap)/giu],
  ['intake', /(?:intake|inlet)(?: valves?| side)?|v[áa]lvulas? de admisi[óo]n|admisi[óo]n/giu],
  ['exhaust', /exhaust(?: valves?| side)?|v[áa]lvulas? de escape|escape/giu],
  ['intake', /(?<=[\s(])adm\.|(?<=[\s(])int\./giu],
  ['exhaust', /(?<=[\s(])esc\.|(?<=[\s(])exh?\./giu],
  ['intake', /\b(?:IN|INT|ADM)\b(?=[.:,;)\s|=(]|$)/gu],
  ['exhaust', /\b(?:EX|EXH|ESC)\b(?=[.:,;)\s|=(]|$)/gu],
  [
    'locknut',
    /(?:(?:valve|tappet|rocker(?: arm)?)[ -])?(?:adjust(?:er|ing|ment)?[ -])?(?:screw[ -])?(?:lock|jam)[ -]?nuts?(?:, valve adjuster)?|(?:(?:valve|tappet|rocker(?: arm)?)[ -])?adjust(?:er|ing)[ -](?:screw[ -])?nuts?|(?:contra|tuerca de (?:bloqueo|seguridad|fijaci[óo]n)|tuerca del ajustador)(?:tuercas?)?(?: del? (?:tornillo de ajuste|ajustador))?/giu,
  ],
  [
    'cover',
    /(?:cylinder[ -])?head[ -]cover(?:[ -](?:bolt|screw|nut)s?)?|(?:rocker(?: arm)?|valve|cam(?:shaft)?|tappet)[ -](?:box )?covers?(?:[ -](?:bolt|screw|nut)s?)?|cover (?:bolt|screw)s?|(?:tornillos? de (?:la )?)?tapas? de (?:la )?(?:culata|balancines|v[áa]lvulas)/giu,
  ],
  [
    'plugGap',
    /(?:spark[ -])?plug (?:electrode )?gap|electrode gap|(?:separaci[óo]n|abertura|holgura)(?: de)?(?: los)?(?: electrodos?)?(?: de)?(?: la)? buj[íi]a|separaci[óo]n de electrodos(?: de la buj[íi]a)?/giu,
  ],
  ['plug', /spark[ -]plugs?|plugs?, spark|\bplugs?\b|buj[íi]as?/giu],
  ['boreStroke', /bore\s?[x×&*]\s?stroke|di[áa]metro\s?[x×]\s?carrera/giu],
  ['bore', /(?:cylinder )?\bbore\b|di[áa]metro(?: del cilindro)?/giu],
  ['stroke', /(?:piston )?\bstroke\b|carrera/giu],
  ['cold', /\bcold\b|\bcool\b|fr[íi]o|room temperature|temperatura ambiente/giu],
  ['first', /\b(?:first|initial(?:ly)?|break-in)\b(?! comes| gear)|primera(?: revisi[óo]n)?|inicial/giu],
  ['every', /\bevery\b|\beach\b|\bcada\b|\bintervals?\b|intervalos?/giu],
  ['fire', /["“'«]?\bF\b["”'»]?(?= mark)|(?<=marca )["“'«]?F\b["”'»]?|ignition timing|encendido|avance/gu],
]

/** As they stand on a page, where a line may break between any two words. */
const SHAPES = WORDS.map(
  ([topic, { source, flags }]) =>
    [topic, new RegExp(source.replaceAll('[ -]', '[\\s-]').replaceAll(' ', '\\s+'), flags)] as const,
)

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
