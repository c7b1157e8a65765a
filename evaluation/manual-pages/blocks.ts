import { type Chance, type PageFacts, pick } from './facts'
import type { Writer } from './wording'

/** A piece of a page: its words, or nothing where the page does not state it. */
type Block = (f: PageFacts, w: Writer, chance: Chance) => string
const lines = (...parts: (string | number | false | null)[]): string => parts.filter(Boolean).join('\n')
const dots = (label: string, value: string): string => `${label} ${'.'.repeat(Math.max(4, 44 - label.length))} ${value}`

export const CLEARANCES: Block[] = [
  (f, w) => lines('VALVE CLEARANCE (COLD)', `  IN: ${w.clearance(f.intake)}`, `  EX: ${w.clearance(f.exhaust)}`),
  (f, w) =>
    f.bothAlike
      ? `The clearance of both valves is ${w.clearance(f.intake)}.`
      : `Adjust the intake valve to ${w.clearance(f.intake)} and the exhaust valve to ${w.clearance(f.exhaust)} with the engine cold.`,
  (f, w) =>
    lines(
      dots('Intake valve clearance', w.clearance(f.intake)),
      dots('Exhaust valve clearance', w.clearance(f.exhaust)),
    ),
  (f, w) =>
    w.bare(f.intake) === null
      ? lines(`Valve lash - intake: ${w.clearance(f.intake)}`, `Valve lash - exhaust: ${w.clearance(f.exhaust)}`)
      : lines(`Valve clearance (${f.units})`, `Intake\tExhaust`, `${w.bare(f.intake)!}\t${w.bare(f.exhaust)!}`),
  (f, w) => `Tappet clearance (cold engine): inlet ${w.clearance(f.intake)}, exhaust ${w.clearance(f.exhaust)}.`,
  (f, w) =>
    lines(
      'Valve stem to guide clearance  IN 0.010–0.037 mm  EX 0.030–0.057 mm',
      `Valve clearance  Intake  ${w.clearance(f.intake)}`,
      `                 Exhaust ${w.clearance(f.exhaust)}`,
    ),
  (f, w) =>
    `Exhaust valve: ${w.clearance(f.exhaust)}\nIntake valve: ${w.clearance(f.intake)}\nMeasure between rocker arm and valve stem, engine cold.`,
  (f, w) =>
    f.bothAlike
      ? `Valve clearance, intake and exhaust: ${w.clearance(f.intake)}`
      : `Valve clearances: ${w.clearance(f.intake)} (intake); ${w.clearance(f.exhaust)} (exhaust).`,
  (f, w) =>
    lines(
      '| Item | Standard | Limit |',
      `| Valve clearance, IN | ${w.clearance(f.intake)} | - |`,
      `| Valve clearance, EX | ${w.clearance(f.exhaust)} | - |`,
      '| Valve stem runout | - | 0.05 mm |',
    ),
]
export const CLEARANCES_ES: Block[] = [
  (f, w) =>
    lines(
      'HOLGURA DE VÁLVULAS (motor frío)',
      `Admisión: ${w.clearance(f.intake)}`,
      `Escape: ${w.clearance(f.exhaust)}`,
    ),
  (f, w) =>
    `Con el motor frío, ajuste la válvula de admisión a ${w.clearance(f.intake)} y la de escape a ${w.clearance(f.exhaust)}.`,
  (f, w) =>
    f.bothAlike
      ? `Juego de válvulas, admisión y escape: ${w.clearance(f.intake)}`
      : lines(
          dots('Juego de válvula, ADM', w.clearance(f.intake)),
          dots('Juego de válvula, ESC', w.clearance(f.exhaust)),
        ),
]
const torqueLines = (
  f: PageFacts,
  w: Writer,
  names: [string, string, string],
  line: (name: string, value: string) => string,
): string =>
  lines(
    f.torques.locknut && line(names[0], w.torque(f.torques.locknut)),
    f.torques.cover && line(names[1], w.torque(f.torques.cover)),
    f.torques.plug && line(names[2], w.torque(f.torques.plug)),
  )
export const TORQUES: Block[] = [
  (f, w) =>
    lines(
      'Tightening torques',
      'Engine oil drain bolt: 24 N·m',
      torqueLines(
        f,
        w,
        ['Valve adjusting screw locknut', 'Cylinder head cover bolt', 'Spark plug'],
        (n, v) => `${n}: ${v}`,
      ),
    ),
  (f, w) => torqueLines(f, w, ['Rocker arm adjuster lock nut', 'Rocker cover bolts', 'Spark plug'], dots),
  (f, w) =>
    torqueLines(
      f,
      w,
      ['Tighten the locknut to', 'Tighten the valve cover bolts to', 'Tighten the spark plug to'],
      (n, v) => `${n} ${v}.`,
    ),
  (f, w) =>
    lines(
      'TORQUE SPECIFICATIONS',
      torqueLines(f, w, ['Tappet adjuster nut', 'Head cover', 'Spark plug'], (n, v) => `${n}\t${v}`),
      'Cylinder head nut\t29 N·m',
    ),
  (f, w) => torqueLines(f, w, ['locknut', 'cover screws', 'plug'], (n, v) => `- ${n} = ${v}`),
  (f, w) =>
    torqueLines(
      f,
      w,
      ['Lock nut, valve adjuster', 'Bolt, cylinder head cover', 'Plug, spark'],
      (n, v) => `| ${n} | ${v} |`,
    ),
]
export const TORQUES_ES: Block[] = [
  (f, w) =>
    torqueLines(
      f,
      w,
      ['Contratuerca del tornillo de ajuste', 'Tornillos de la tapa de culata', 'Bujía'],
      (n, v) => `${n}: ${v}`,
    ),
  (f, w) =>
    lines(
      'Pares de apriete',
      'Tapón de vaciado de aceite: 24 N·m',
      torqueLines(f, w, ['Tuerca de bloqueo del ajustador', 'Tapa de balancines', 'Bujía'], dots),
    ),
  (f, w) =>
    torqueLines(
      f,
      w,
      ['Apriete la contratuerca a', 'Apriete la tapa de válvulas a', 'Apriete la bujía a'],
      (n, v) => `${n} ${v}.`,
    ),
]
export const INTERVALS: Block[] = [
  (f, w, c) =>
    f.use
      ? `Inspect and adjust valve clearance every ${w.distance(f.use.figure, f.use.unit, c)}${f.months ? ` or ${f.months} months, whichever comes first` : ''}.`
      : f.months
        ? `Check the valve clearance every ${f.months} months.`
        : '',
  (f, w, c) =>
    lines(
      f.firstUse &&
        f.use &&
        `Valve clearance: first at ${w.distance(f.firstUse, f.use.unit, c)}, then every ${w.distance(f.use.figure, f.use.unit, c)}`,
      !f.firstUse && f.use && `Valve clearance: every ${w.distance(f.use.figure, f.use.unit, c)}`,
      f.months && `and at least every ${f.months} months`,
    ),
  (f, w, c) =>
    lines(
      'Replace engine oil every 2,000 km.',
      f.use && `Check valve clearance each ${w.distance(f.use.figure, f.use.unit, c)}.`,
    ),
  (f, w, c) =>
    lines(
      f.use && `Valve clearance inspection interval: ${w.distance(f.use.figure, f.use.unit, c)}`,
      f.firstUse && f.use && `Initial inspection: ${w.distance(f.firstUse, f.use.unit, c)}`,
    ),
]
export const INTERVALS_ES: Block[] = [
  (f, w, c) =>
    f.use
      ? `Revise la holgura de válvulas cada ${w.distance(f.use.figure, f.use.unit, c)}${f.months ? ` o cada ${f.months} meses` : ''}.`
      : f.months
        ? `Revise la holgura de válvulas cada ${f.months} meses.`
        : '',
  (f, w, c) =>
    lines(
      f.firstUse && f.use && `Primera revisión de válvulas: ${w.distance(f.firstUse, f.use.unit, c)}`,
      f.use && `Después, cada ${w.distance(f.use.figure, f.use.unit, c)}`,
      f.months && `Como mínimo cada ${f.months} meses`,
    ),
]
export const POSITIONS: Block[] = [
  f =>
    lines(
      f.turning &&
        `Turn the crankshaft ${f.turning === 'anticlockwise' ? 'counterclockwise' : 'clockwise'} until the "T" mark lines up with the index notch.`,
      f.fireMark && `The "F" mark is ${f.fireMark}° before top dead center.`,
    ),
  f =>
    lines(
      f.turning &&
        `Rotate the flywheel ${f.turning} (seen from the flywheel side) to bring the piston to TDC on the compression stroke.`,
      f.fireMark && `Ignition timing: ${f.fireMark}° BTDC at idle ("F" mark).`,
    ),
  f =>
    lines(
      f.turning && `Direction of rotation: ${f.turning === 'anticlockwise' ? 'CCW' : 'CW'}`,
      f.fireMark && `Ignition timing ("F" mark) ${f.fireMark} deg. BTDC`,
    ),
]
export const POSITIONS_ES: Block[] = [
  f =>
    lines(
      f.turning &&
        `Gire el cigüeñal en sentido ${f.turning === 'anticlockwise' ? 'antihorario' : 'horario'} hasta que la marca "T" coincida con la muesca.`,
      f.fireMark && `La marca "F" está ${f.fireMark}° antes del PMS.`,
    ),
  f =>
    lines(
      f.turning &&
        `Sentido de giro: ${f.turning === 'anticlockwise' ? 'contrario a las agujas del reloj' : 'de las agujas del reloj'}`,
    ),
]
export const DATA: Block[] = [
  (f, w) =>
    lines(
      f.bore && f.stroke && `Bore x stroke: ${w.length(f.bore).replace(/ ?mm/, '')} x ${w.length(f.stroke)}`,
      `Spark plug gap: ${w.gap(f.plugGap)}`,
    ),
  (f, w) =>
    lines(
      f.bore && dots('Bore', w.length(f.bore)),
      f.stroke && dots('Stroke', w.length(f.stroke)),
      dots('Spark plug gap', w.gap(f.plugGap)),
      dots('Idle speed', '1,400 ± 100 rpm'),
    ),
  (f, w) =>
    lines(
      `Plug gap ${w.gap(f.plugGap)}`,
      f.stroke && `Piston stroke ${w.length(f.stroke)}`,
      f.bore && `Cylinder bore ${w.length(f.bore)}`,
      'Compression ratio 9.2:1',
      'Oil capacity 1.1 L',
    ),
]
export const DATA_ES: Block[] = [
  (f, w) =>
    lines(
      f.bore && f.stroke && `Diámetro x carrera: ${w.length(f.bore).replace(/ ?mm/, '')} x ${w.length(f.stroke)}`,
      `Separación de electrodos de la bujía: ${w.gap(f.plugGap)}`,
    ),
  (f, w) =>
    lines(
      f.bore && dots('Diámetro', w.length(f.bore)),
      f.stroke && dots('Carrera', w.length(f.stroke)),
      dots('Separación de la bujía', w.gap(f.plugGap)),
      dots('Ralentí', '1.400 ± 100 rpm'),
    ),
]
export const COLD: Block[] = [
  (f, w) => (f.coldC ? `NOTE: Inspect and adjust while the engine is cold (below ${w.temperature(f.coldC)}).` : ''),
  (f, w) => (f.coldC ? `The engine must be cold: cylinder head under ${w.temperature(f.coldC)}.` : ''),
]
export const COLD_ES: Block[] = [
  (f, w) => (f.coldC ? `NOTA: ajuste con el motor frío (por debajo de ${w.temperature(f.coldC)}).` : ''),
  (f, w) => (f.coldC ? `El motor debe estar frío, a menos de ${w.temperature(f.coldC)}.` : ''),
]
/** What else stands on pages: figures that are none of those asked for. */
export const ELSE: Block[] = [
  () => 'Valve spring free length: 38.5 mm (limit 36.9 mm)',
  () => 'Cylinder compression: 1,200 kPa at 450 rpm',
  () => 'Piston-to-cylinder clearance 0.015–0.045 mm, service limit 0.10 mm',
  () => 'Rocker arm inside diameter 10.000–10.015 mm',
  () => 'Camshaft holder bolts: 12 N·m. Cylinder head bolts: 32 N·m, crosswise.',
  () => 'Battery 12 V 8 Ah. Fuse 15 A. Generator output 220 W at 5,000 rpm.',
  (f, _, chance) => `${pick(chance, ['Page', 'p.', '-'])} ${f.page}`,
]
