import type { ReminderLine } from '../../core/history/reminder'
import type { Tell } from '../../core/said'

type Lines = readonly ReminderLine[]

const stillToDo = ({ toDo = [] }: ReminderLine): string[] =>
  toDo.length ? ['  Still to do from the last visit:', ...toDo.map(line => `  – ${line}`)] : []

/** What an owner is written. */
export const letters = {
  'letter.subject': ({ lines }: { lines: Lines }) =>
    `Valve check due: ${lines.length === 1 ? lines[0]!.machine : `${lines.length} machines`}`,
  'letter.text': ({ owner, shop, lines }: { owner: string; shop: string; lines: Lines }, tell: Tell) =>
    [
      `Dear ${owner},`,
      '',
      lines.length === 1
        ? 'one of your machines is due for its valve check:'
        : 'these of your machines are due for their valve check:',
      '',
      ...lines.flatMap(l => [`${l.machine} (${l.tag})`, `  ${tell(l.when)}`, `  ${tell(l.why)}`, ...stillToDo(l), '']),
      'Valves are measured on a cold engine: please let it stand overnight before you bring it.',
      '',
      shop,
    ].join('\n'),
}
