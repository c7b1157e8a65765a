import { PRACTICE_ENGINES, practiceEngineAbout } from '../core/practice'
import { tellEnglish } from '../words'
import { failureWords, isFailure, isWideFailure, type RobotRun, type Tally } from './index'
import { SOURCE_DENIES } from './wide-world'

/** Many engines with one kind of hand. */
export interface Pass {
  name: string
  wrongShare: number
  asked: number
  seconds: number
  all: Tally
  byKind: Map<string, Tally>
  failures: RobotRun[]
}

const percent = (part: number, of: number, digits = 2): string =>
  of === 0 ? '–' : `${((100 * part) / of).toFixed(digits)} %`
const per = (a: number, b: number, digits = 2): string => (b === 0 ? '–' : (a / b).toFixed(digits))
const row = (cells: (string | number)[]): string => `| ${cells.join(' | ')} |`
const table = (head: string[], rows: (string | number)[][]): string =>
  [row(head), row(head.map((_, i) => (i ? '--:' : '---'))), ...rows.map(row)].join('\n')

/** The measures that the goals speak of. */
export function summary({ name, asked, seconds, all }: Pass): string {
  const rows: [string, string, string][] = [
    [
      'valves in spec at the end',
      `${percent(all.valves - all.outOfSpec, all.valves, 3)} (${all.outOfSpec} of ${all.valves} not)`,
      '≥ 99.99 %',
    ],
    ['false “in”', String(all.falseIn), '0'],
    [
      'engines with a false “settled”',
      `${percent(all.falseSettled, all.runs, 3)} (${all.falseSettled})`,
      '< 0.1 % honest, < 0.4 % with 3 % wrong',
    ],
    [
      'screws touched at a false stop; of these engines some valve not in spec',
      `${all.touchedFalsely}; ${all.survivedProve}`,
      '; 0',
    ],
    ['decompressor taken for no clearance', String(all.heldTaken), '0'],
    ['wrong answers; met the clash rule; named', `${all.wrong}; ${all.wrongMet}; ${all.wrongNamed}`, 'all that met it'],
    ['clashes once something wrong was said; named a wrong answer', `${all.clashes}; ${all.clashesNamed}`, '–'],
    ['stuck', String(all.stuck), '0'],
    ['went on only with a reason', String(all.withReason), '–'],
    ['more stops than planned', String(all.tooManyStops), '0'],
    ['moves to the first settled stop', per(all.moves, all.runs), '–'],
    ['trials a reading', per(all.trials, all.readings), '–'],
    ['trials a valve, setting and proving too', per(all.trials, all.valves), '–'],
    ['arcs asked at 90 % hold the truth', percent(all.arcs.held, all.arcs.asked, 1), '88–92 %'],
  ]
  const fewer = all.runs < asked ? `, fewer than the ${asked} asked for: the time was up` : ''
  return `### ${name}: ${all.runs} engines in ${seconds.toFixed(0)} s${fewer}\n\n${table(['measure', 'reached', 'goal'], rows)}\n\n${deciles(all)}`
}

/** How often a valve said to be closed with such a chance was closed. */
function deciles({ closed }: Tally): string {
  return table(
    ['said “closed here”', ...closed.map((_, i) => `${i * 10}–${i * 10 + 10} %`)],
    [
      ['mean said', ...closed.map(b => percent(b.said, b.count, 1))],
      ['was so', ...closed.map(b => percent(b.so, b.count, 1))],
      ['times', ...closed.map(b => b.count)],
    ],
  )
}

/** The measures of the wider world. */
export function wideSummary({ name, asked, seconds, all, byKind }: Pass): string {
  const denied = byKind.get(SOURCE_DENIES)
  const without = (of: 'signedOut' | 'touchedRuns') => all[of] - (denied?.[of] ?? 0)
  const rows: [string, string, string][] = [
    [
      'valves signed in that are out by more than blades and drag can be',
      `${without('signedOut')} of ${all.valves}; ${denied?.signedOut ?? 0} more where record or list denies a decompressor`,
      '0 honest, ≤ 1 in 10,000 with 3 % wrong',
    ],
    [
      'engines with a screw touched at a false stop',
      `${without('touchedRuns')} of ${all.runs}; ${denied?.touchedRuns ?? 0} more where record or list denies it`,
      '≤ 1 in 1,000 engines',
    ],
    ['stuck', String(all.stuck), '0'],
    ['engines with more than 12 trials in a reading or a round', String(all.longReadings), '0'],
    ['engines in which something was asked a third time on the same evidence', String(all.repeats), '0'],
    ['engines with a turn over 60° without a blade that proves it', String(all.violent), '0'],
    ['engines with a screw opened in vain', String(all.vain), '0'],
    ['ended with a reason somewhere', `${all.withReason} (${percent(all.withReason, all.runs, 1)})`, '–'],
    ['trials a reading', per(all.trials, all.readings), '–'],
    ['trials a valve, setting and proving too', per(all.trials, all.valves), '–'],
    ['moves to the first settled stop', per(all.moves, all.runs), '–'],
  ]
  const fewer = all.runs < asked ? `, fewer than the ${asked} asked for: the time was up` : ''
  return `### The wider world, ${name}: ${all.runs} engines in ${seconds.toFixed(0)} s${fewer}\n\n${table(['measure', 'reached', 'goal'], rows)}`
}

/** A row for each thing that is out of the ordinary; an engine counts at each of its own. */
export const featureTable = ({ byKind }: Pass): string =>
  table(
    [
      'with',
      'engines',
      'signed in, and out',
      'false stop touched',
      'stuck',
      'asked a third time',
      'with a reason',
      'trials a reading',
    ],
    [...byKind]
      .filter(([, t]) => t.runs > 0)
      .sort(([a], [b]) => a.localeCompare(b))
      .map(([feature, t]) => [
        feature,
        t.runs,
        t.signedOut,
        t.touchedRuns,
        t.stuck,
        t.repeats,
        percent(t.withReason, t.runs, 0),
        per(t.trials, t.readings),
      ]),
  )

/** A row for each kind of engine. */
export function kindTable({ byKind }: Pass): string {
  return table(
    [
      'engine',
      'engines',
      'valves in spec',
      'false “in”',
      'false “settled”',
      'met / named',
      'stuck',
      'moves',
      'trials a reading',
    ],
    PRACTICE_ENGINES.flatMap(engine => {
      const t = byKind.get(engine.id)!
      return t.runs === 0
        ? []
        : [
            [
              tellEnglish(practiceEngineAbout(engine)),
              t.runs,
              percent(t.valves - t.outOfSpec, t.valves, 3),
              t.falseIn,
              t.falseSettled,
              `${t.wrongMet} / ${t.wrongNamed}`,
              t.stuck,
              per(t.moves, t.runs),
              per(t.trials, t.readings),
            ],
          ]
    }),
  )
}

const MOST_LISTED = 30
/** The seeds that failed or were settled falsely, each to be told with `npm run robot -- --seed N --trace`. */
export function failuresTable({ failures, wrongShare }: Pass): string {
  if (failures.length === 0) return 'No seed failed, none was settled falsely.'
  const failed = (run: RobotRun) => Number(run.features.length > 0 ? isWideFailure(run) : isFailure(run))
  const listed = [...failures].sort((a, b) => failed(b) - failed(a) || a.seed - b.seed).slice(0, MOST_LISTED)
  return [
    `Seeds to look at (${failures.length}${failures.length > MOST_LISTED ? `, the first ${MOST_LISTED}` : ''}; tell one with \`npm run robot -- --seed N${failures[0]!.features.length > 0 ? ' --wide' : ''}${wrongShare ? ` --wrong ${wrongShare}` : ''} --trace\`):`,
    '',
    ...listed.map(run => `- ${run.seed}, ${run.kind}: ${failureWords(run).join('; ')}`),
  ].join('\n')
}
