import { fastenerCount, type Fasteners, type Part, type Pattern, type SafeThing } from '../../core/access'
import type { Complaint, Likelier, Suspect } from '../../core/complaint'
import type { TurnedBy } from '../../core/engine'
import type { Text } from '../../core/said'
import { formatTorque } from '../../core/units'
import type { access as english } from '../en/access'
import type { Words } from '../teller'
import { day } from './grammar'

const PATTERNS: Record<Pattern, string> = {
  'crossing': 'en cruz, de a poco',
  'from the middle': 'del centro hacia afuera, de a poco',
  'alternating': 'alternando uno y otro',
  'one at a time': 'de a uno',
}
const sentence = (words: string): string => (words ? `${words.charAt(0).toUpperCase()}${words.slice(1)}.` : '')
const start = (words: string): string => `${words.charAt(0).toUpperCase()}${words.slice(1)}`
const all = (...parts: (string | false | null)[]): string => parts.filter(Boolean).join(' ')

function oneKind({ count, threadMm, lengthMm, odd }: Fasteners): string {
  const size = threadMm === null ? '' : ` M${threadMm}${lengthMm === null ? '' : ` × ${lengthMm}`}`
  return `${count} ${count === 1 ? 'tornillo' : 'tornillos'}${size}${odd ? ` (${odd})` : ''}`
}
const fastenersOf = (part: Part): string => part.fasteners.map(oneKind).join(' y ')
const SEALS = { 'gasket': 'junta', 'O-ring': 'anillo tórico', 'half-moon': 'medias lunas', 'compound': 'sellador' }
function sealOf({ seal }: Part): string {
  if (!seal) return ''
  const on = seal.on ? ` en ${seal.on}` : ''
  const care = [
    seal.clean && 'limpie las dos caras',
    seal.oiled && 'acéitelo',
    seal.skinMinutes !== null && `deje que haga piel ${seal.skinMinutes} min`,
  ].filter(Boolean)
  return `${SEALS[seal.kind]}${on}${care.length ? `: ${care.join(', ')}` : ''}`
}
const SIDES = { left: 'lado izquierdo', right: 'lado derecho' }
const place = ({ where, side }: Part): string => [side && SIDES[side], where].filter(Boolean).join(', ')
const own = ({ kind, cylinderId }: Part): string =>
  kind === 'plug lead' && cylinderId !== null ? 'En su propia bujía, a fondo hasta que haga clic.' : ''
const capHome = ({ kind }: Part): string =>
  kind === 'timing plug' || kind === 'crank cap' || kind === 'screw cap'
    ? 'Empiece con la mano: el plástico y la aleación se rajan y se cruzan.'
    : ''

const SAFE: Record<SafeThing, string> = {
  'stand': 'en su caballete, que no ruede ni se caiga',
  'gear': 'en punto muerto',
  'key': 'llave fuera',
  'blade': 'cuchilla o toma de fuerza desconectada, cuchilla trabada',
  'fuel': 'combustible cerrado',
  'battery': 'batería desconectada, primero el negativo',
  'plug lead': 'cable de bujía fuera y apartado',
  'recoil': 'no tire de la cuerda de arranque',
  'hoses': 'mangueras fuera y tapadas',
}
const LIVE: Record<SafeThing, string> = {
  'stand': 'bájela del caballete',
  'gear': 'la marcha como estaba',
  'key': 'llave puesta',
  'blade': 'cuchilla o toma de fuerza libre otra vez',
  'fuel': 'combustible abierto, sin goteo',
  'battery': 'batería conectada, el negativo al final',
  'plug lead': 'cable de bujía puesto',
  'recoil': 'cuerda de arranque libre',
  'hoses': 'mangueras puestas, sin tapones',
}
const COMPLAINTS: Record<Complaint, string> = {
  'due': 'le toca la revisión',
  'hard to start cold': 'arranca mal en frío',
  'hard to start hot': 'arranca mal en caliente',
  'kicks back': 'da contragolpes',
  'ticks cold': 'tictaquea en frío',
  'ticks hot': 'tictaquea en caliente',
  'loses power high up': 'pierde fuerza arriba',
  'pops on the overrun': 'petardea al soltar el gas',
  'stalls': 'se apaga',
  'burns oil': 'quema aceite',
}
const LIKELIER: Record<Likelier, string> = {
  tight: 'una válvula justa',
  loose: 'una válvula floja',
  decompressor: 'un descompresor que ya no alcanza su válvula',
}
const LIKELIEST: Record<Suspect, string> = {
  'fuel and air': 'combustible y aire',
  'ignition': 'el encendido',
  'compression': 'la compresión',
  'decompressor': 'el descompresor',
  'cam chain': 'la cadena de levas y su tensor',
  'exhaust leak': 'una fuga de escape',
  'rings and guides': 'los aros y las guías de válvula',
}
const RESULTS = { gone: 'desapareció', better: 'mejor', same: 'igual' }
const WHEN = { before: 'antes', after: 'después' }
const ENDS = { 'replaced': 'cambiada', 'to do': 'pendiente', 'not to be had': 'no se consigue, queda la vieja' }
const TURN_BY: Record<TurnedBy, string> = {
  'crank nut': 'Un mango largo en la tuerca del cigüeñal, sin bujía, solo en su sentido: al revés se afloja.',
  'flywheel': 'Con la mano en el volante, sin bujía. Dedos fuera de las aletas.',
  'fan': 'Con la mano en el ventilador, sin bujía. Nunca con una barra entre las aspas.',
  'pull starter': 'Tire despacio de la cuerda, sin bujía. Pasada la compresión puede seguir sola.',
  'wheel in gear':
    'En la marcha más alta, rueda trasera en el aire sobre un caballete, sin bujía: empuje la rueda. Un gato no es un caballete.',
  'kick': 'Baje la palanca con la mano, sin bujía. Puede dar un contragolpe.',
}
const MIND: Record<SafeThing, string> = {
  'stand': 'Un gato no es un caballete: cede o se vuelca.',
  'gear': '',
  'key': '',
  'blade': 'La cuchilla o la toma de fuerza gira con el cigüeñal: trábela.',
  'fuel': '',
  'battery': 'Batería: primero el negativo. Ni anillo ni llave que la puentee.',
  'plug lead': '',
  'recoil': 'La cuerda arrastra la mano si da un contragolpe.',
  'hoses': '',
}

export const access: Words<typeof english> = {
  'part.off': ({ part }) =>
    all(
      sentence(place(part)),
      sentence([fastenersOf(part), part.tool].filter(Boolean).join(', ')),
      sentence(part.trap),
      'Déjela como salió.',
    ),
  'part.back': ({ part, gasket }) =>
    all(
      sentence(sealOf(part)),
      part.seal?.kind === 'gasket' && gasket ? `La ficha dice: ${gasket}.` : '',
      sentence(part.trap),
      own(part),
      capHome(part),
      fastenerCount(part) > 1
        ? `Empiece con la mano ${part.fasteners.length > 1 ? 'el distinto' : 'el más difícil'}; no apriete ninguno hasta que estén los ${fastenerCount(part)}.`
        : '',
    ) || 'Al revés de como salió.',
  'part.seal': ({ part, spec }) => all(sentence(sealOf(part)), spec ? `La ficha dice: ${spec}.` : ''),
  'part.tighten': ({ part }) =>
    all(
      part.torqueNm === null
        ? 'La ficha no da par: siga el manual del fabricante.'
        : `${formatTorque(part.torqueNm)}${part.pattern ? `, ${PATTERNS[part.pattern]}` : ''}.`,
      sentence(part.trap),
      'Demasiado raja o barre la rosca.',
    ),
  'tighten.label': 'Apretar',
  'tighten.part': ({ item, torqueNm }, tell) =>
    torqueNm === null ? `Apriete parejo: ${tell(item)}` : `A ${Number(torqueNm.toFixed(1))} N·m: ${tell(item)}`,
  'gasket.of': ({ item }, tell) => `¿Qué junta va en: ${tell(item)}?`,
  'plug.one': ({ item }, tell) => `¿Cómo se ve: ${tell(item)}?`,
  'key.all-off': ({ count }) => `Las ${count} están fuera`,
  'key.all-off.help': ({ last }) => `de esta hasta: ${last}`,
  'key.all-back': ({ count }) => `Las ${count} están puestas`,
  'key.all-back.help': ({ last }) => `de esta hasta: ${last}`,

  'key.back-torqued': ({ torqueNm }) => `Puesta, ${formatTorque(torqueNm)}`,
  'key.back-torqued.help': 'primero con la mano, luego la llave',

  'nuts.label': 'Contratuercas',
  'nuts': 'Repase cada contratuerca. ¿Cuántas?',
  'nuts.why': ({ count }) => `Tocadas o no, este motor tiene ${count}. Una tuerca floja destroza el tren de válvulas.`,
  'nuts.other': ({ count, said }) =>
    `Contó ${said}; este motor tiene ${count}. Mire otra vez: quedó una, o se contó dos veces.`,
  'key.nuts': ({ count }) => `${count}, todas apretadas`,
  'key.nuts.help': 'la llave en cada una',
  'key.another-count': 'Otro número',

  'safe.things': 'Déjela segura, en este orden',
  'safe.things.why': ({ things }) => sentence(things.map(t => SAFE[t]).join('; ')),
  'live.label': 'Como estaba',
  'live': 'Deshaga lo que la dejó segura, en este orden',
  'live.why': ({ things }) =>
    all(sentence(things.map(t => LIVE[t]).join('; ')), 'Ningún trapo, herramienta o galga adentro.'),
  'key.all-live': 'Todo hecho',
  'key.all-live.help': 'nada quedó desconectado',
  'safe-thing': ({ thing, live }) => start((live ? LIVE : SAFE)[thing]),

  'cured.label': 'La queja',
  'cured': ({ complaint }) => `Vino porque ${COMPLAINTS[complaint]}. ¿Y ahora?`,
  'cured.why': 'Pruébela como el dueño: en frío o en caliente, según la queja.',
  'cured.why.not-valves': 'El juego de válvulas rara vez cura esto.',
  'cured.gone': 'Desapareció',
  'cured.gone.help': 'probada como el dueño',
  'cured.better': 'Mejor',
  'cured.better.help': 'no del todo',
  'cured.same': 'Igual',
  'cured.same.help': 'sin cambio',
  'cured.cannot-tell': 'Aún no se sabe',
  'else.label': 'Qué más',
  'else': ({ complaint, result }) =>
    `Aún ${COMPLAINTS[complaint]}${result === 'better' ? ', aunque menos' : ''}. ¿Qué se mira ahora?`,
  'else.why': ({ valvesIn }) =>
    `${valvesIn ? 'Las válvulas están bien: esto es otro trabajo, para un técnico calificado.' : 'No todas las válvulas están probadas: aún pueden ser la causa. Lo demás es para un técnico calificado.'} Queda en la hoja para el dueño.`,
  'else.none': 'Nada de esto',
  'else.finding': ({ complaint, suspect }) => `Aún ${COMPLAINTS[complaint]}: mirar ${LIKELIEST[suspect]}`,
  'suspect.fuel and air': 'Combustible y aire',
  'suspect.fuel and air.help': 'combustible viejo, chicleres, filtro, fuga de admisión',
  'suspect.ignition': 'Encendido',
  'suspect.ignition.help': 'bujía, capuchón, bobina, puesta a punto, chaveta',
  'suspect.compression': 'Compresión',
  'suspect.compression.help': 'prueba de fugas: válvulas, aros, junta',
  'suspect.decompressor': 'Descompresor',
  'suspect.decompressor.help': 'resorte, contrapeso, pasador',
  'suspect.cam chain': 'Cadena de levas',
  'suspect.cam chain.help': 'cadena, guía, tensor',
  'suspect.exhaust leak': 'Fuga de escape',
  'suspect.exhaust leak.help': 'en la culata y las uniones',
  'suspect.rings and guides': 'Aros y guías',
  'suspect.rings and guides.help': 'humo azul, aceite en la bujía',
  'complaint': ({ complaint }) => COMPLAINTS[complaint],
  'complaint.hint': ({ complaint, to }) =>
    `${start(COMPLAINTS[complaint])}: es más probable ${to.map(t => LIKELIER[t]).join(' o ')}. Es un indicio, no una prueba.`,
  'complaint.hint.none': ({ complaint }) => `${start(COMPLAINTS[complaint])}: rara vez son las válvulas.`,

  'earlier.label': 'De la última vez',
  'earlier': ({ part, words }, tell) => `${part ? `${part}: ` : ''}${tell(words)}. ¿Y ahora?`,
  'earlier.why': ({ jobNumber, date, end }) => `Trabajo ${jobNumber}, ${day(Date.parse(date))}: ${ENDS[end]}.`,
  'key.done-meanwhile': 'Ya se hizo',
  'key.done-meanwhile.help': 'mirado: está bien',
  'key.still-to-do': 'Sigue pendiente',
  'key.still-to-do.help': 'se avisa otra vez al dueño',
  'key.cannot-see': 'No se ve',
  'missing.earlier': 'Algo de la última visita no se miró.',
  'did.earlier': ({ done }) => `De la última vez: ${done ? 'ya se hizo' : 'sigue pendiente'}`,
  'missing.seal': ({ item }, tell) => `No consta qué junta se puso: ${tell(item)}.`,
  'missing.tight': ({ item, torqueNm }, tell) =>
    `Sin apretar: ${tell(item)}${torqueNm === null ? '' : `, ${formatTorque(torqueNm)}`}.`,
  'missing.nuts': ({ count }) => `No se repasaron las ${count} contratuercas.`,
  'missing.live': 'No se deshizo lo que la dejó segura.',
  'missing.complaint': ({ complaint }) => `Nadie dijo qué fue de esto: ${COMPLAINTS[complaint]}.`,
  'missing.else': ({ complaint, valves }) =>
    valves
      ? `Aún ${COMPLAINTS[complaint]}: no consta qué se mira ahora.`
      : `No consta qué se mira para esto: ${COMPLAINTS[complaint]}.`,

  'did.nuts-checked': ({ count }) => `Contratuercas repasadas: ${count}`,
  'did.complaint-after': ({ complaint, result }) => `${start(COMPLAINTS[complaint])}: ${RESULTS[result]}`,
  'did.compression': ({ when, value, unit }) => `Compresión ${WHEN[when]}: ${value} ${unit}`,
  'did.leak-down': ({ when, value }) => `Fugas ${WHEN[when]}: ${value} %`,
  'did.tightened-part': ({ item, torqueNm }, tell) =>
    `${tell(item)}: ${torqueNm === null ? 'apretada' : `apretada a ${formatTorque(torqueNm)}`}`,
  'did.came-off.all': ({ item, more }, tell) => `${tell(item)} y ${more} más, fuera`,
  'did.went-back.all': ({ item, more }, tell) => `${tell(item)} y ${more} más, puestas`,

  'sheet.each': ({ of }, tell) => of.map(({ part, is }) => `${tell(part)}: ${tell(is)}`).join('; '),
  'sheet.complaint': ({ complaints, words }) =>
    [...complaints.map(c => COMPLAINTS[c]), words].filter(Boolean).join(', '),
  'sheet.cured': ({ complaint, result }) =>
    `${start(COMPLAINTS[complaint])}: ${result ? RESULTS[result] : 'no se dijo qué fue de ello'}`,
  'sheet.finding': ({ part, words, end }, tell) =>
    `${part ? `${part}: ` : ''}${tell(words)}${end ? ` (${ENDS[end]})` : ''}`,
  'sheet.pressure': read =>
    [
      `${read.cylinder ? `${read.cylinder}, ` : ''}${read.kind === 'compression' ? 'compresión' : 'fugas'} ${WHEN[read.when]}: ${read.value} ${read.kind === 'compression' ? read.unit : '%'}`,
      read.kind === 'compression' && (read.throttle === 'open' ? 'acelerador abierto' : 'acelerador cerrado'),
      read.engine === 'warm' ? 'caliente' : 'frío',
    ]
      .filter(Boolean)
      .join(', '),
  'owner.found': ({ measured, of, tight, loose, unproved, set, setAndProved }, tell) => {
    const list = (names: readonly Text[], one: string, many: string) =>
      names.length === 0 ? '' : names.length === 1 ? `${tell(names[0]!)} ${one}` : `${names.length} ${many}`
    const open = unproved > 0 ? `${unproved} que las galgas no pudieron decidir` : ''
    const found = [
      list(tight, 'demasiado justa', 'demasiado justas'),
      list(loose, 'demasiado floja', 'demasiado flojas'),
      open,
    ]
      .filter(Boolean)
      .join(' y ')
    const looked =
      measured === of ? (of === 2 ? 'las dos válvulas' : `las ${of} válvulas`) : `${measured} de ${of} válvulas`
    const one = set === 1 ? 'una se ajustó' : `${set} se ajustaron`
    const done =
      set === 0
        ? ''
        : setAndProved === set
          ? `; ${one}, y después se midió bien`
          : `; ${one}, y de ellas ${setAndProved} se midieron bien después`
    return `Medimos ${looked} y encontramos ${found || 'todas dentro de sus límites'}${done}.`
  },
  'owner.helped': ({ results, valvesIn }) => {
    const each = results.map(({ complaint, result }) => `“${COMPLAINTS[complaint]}”: ${RESULTS[result]}`).join(', ')
    if (results.every(r => r.result === 'gone')) return `${each}.`
    return `${each}; ${valvesIn ? 'las válvulas están bien, así que ' : ''}un técnico debe seguir mirando.`
  },

  'start-stage.do-not-use': ({ role, text, source, correctedBy, correctedOn }) =>
    `Ediciones anteriores dicen ${text} para ${role === 'intake' ? 'la admisión' : 'el escape'} (${source}). No lo use: lo corrige ${correctedBy}, ${correctedOn}.`,
  'list-stage.made-safe': 'Dejada segura',
  'list-stage.made-live': 'Como estaba, en este orden',
  'list-stage.part': ({ fasteners, tool, torqueNm, seal }) =>
    [fasteners.map(oneKind).join(' y '), tool, torqueNm !== null && formatTorque(torqueNm), seal && SEALS[seal]]
      .filter(Boolean)
      .join(', '),
  'complaints-field.comes-for': 'Viene porque',

  'turn-by': ({ by }) => TURN_BY[by],
  'key.kicked-on': 'Siguió sola',
  'key.kicked-on.help': 'se pasó, volvió atrás o no miré',
  'mind.heading': 'Cuidado',
  'mind.ready': ({ things }) =>
    [
      ...things.map(t => MIND[t]),
      'Tanque y mangueras: el vapor de combustible arde; ni llama ni estufa cerca.',
      'Limpiador y aire comprimido: ojos cubiertos, nunca sobre metal caliente.',
    ]
      .filter(Boolean)
      .join('\n'),
  'mind.close': ({ things }) =>
    [
      'Una galga o un trapo olvidado pasa por el motor.',
      'Los tapones de aleación se rajan; un tensor de cadena salta por su resorte.',
      'Arránquela afuera: el gas de escape mata en un cuarto, más aún el de un generador. Lo caliente quema.',
      things.includes('battery') ? 'Batería: el negativo al final.' : '',
    ]
      .filter(Boolean)
      .join('\n'),

  'blade.access': ({ access }) => `Para llegar: ${access}.`,
  'gap-picture.over': ({ over }) => (over === 'lobe' ? 'Leva' : 'Balancín'),
  'gap-picture.shim': 'Pastilla',
}
