import type { ReminderLine } from '../../core/history/reminder'
import type { letters as english } from '../en/letters'
import type { Words } from '../teller'

const stillToDo = ({ toDo = [] }: ReminderLine): string[] =>
  toDo.length ? ['  Pendiente desde la última visita:', ...toDo.map(line => `  – ${line}`)] : []

export const letters: Words<typeof english> = {
  'letter.subject': ({ lines }) =>
    `Toca revisión de válvulas: ${lines.length === 1 ? lines[0]!.machine : `${lines.length} máquinas`}`,
  'letter.text': ({ owner, shop, lines }, tell) =>
    [
      `Estimado/a ${owner}:`,
      '',
      lines.length === 1
        ? 'a una de sus máquinas le toca la revisión de válvulas:'
        : 'a estas máquinas suyas les toca la revisión de válvulas:',
      '',
      ...lines.flatMap(l => [`${l.machine} (${l.tag})`, `  ${tell(l.when)}`, `  ${tell(l.why)}`, ...stillToDo(l), '']),
      'Las válvulas se miden con el motor frío: déjela parada toda la noche antes de traerla.',
      '',
      shop,
    ].join('\n'),
}
