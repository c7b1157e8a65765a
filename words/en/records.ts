import type { Tell, Text } from '../../core/said'
import { within } from './grammar'

/** What stands on cards, in the past of a machine, and on papers beside the job itself. */
export const records = {
  'card.to-do': ({ tasks }: { tasks: string[] }) => `Valves done; to do: ${tasks.join(', ')}`,
  'card.sheet': 'Job sheet',
  'card.parked': ({ hours }: { hours: number }) => `parked ${hours} h`,
  'card.abandoned': 'Abandoned',
  'card.on-hold': 'On hold',
  'card.is-free': ({ name }: { name: string }) => `${name || 'Somebody'} is free`,
  'card.after-valves': 'after the valves',

  'visit.no-valve': 'No valve on record',
  'visit.done': ({ set, out, proved }: { set: 'all' | string[]; out: string[]; proved: boolean }) => {
    const done =
      set === 'all'
        ? 'All set'
        : set.length === 0
          ? 'None touched'
          : `${set.map((name, i) => (i ? within(name) : name)).join(', ')} set`
    return out.length ? `${done}; ${out.map(within).join(', ')} not in` : proved ? `${done}, all proved` : done
  },

  'calendar.name': ({ shop }: { shop: string }) => `${shop}: valve checks`,
  'calendar.tag': ({ tag }: { tag: string }) => `tag ${tag}`,
  'calendar.whose': ({ owner, tag }: { owner: string; tag: string }) => `${owner}, tag ${tag}`,
  'calendar.entry': ({ machine }: { machine: string }) => `${machine}: valve check`,
  'letter.due': ({ when, late }: { when: Text; late: Text }, tell: Tell) =>
    `Due ${tell(when)}${tell(late) ? `, ${tell(late)}` : ''}`,
  'summary.not-read': 'not read',
  'summary.not-enough': 'not enough visits yet',
  'summary.machine': ({ name, tag }: { name: string; tag: string }) => `${name}, tag ${tag}`,
  'summary.day': 'Day',
  'paper.page': ({ footer, page, count }: { footer: string; page: number; count: number }) =>
    `${footer}, page ${page} of ${count}`,
  'paper.job-foot': ({ shop, job, judgement }: { shop: string; job: number; judgement: string | number }) =>
    `${shop}, job ${job}, judgement ${judgement}`,
  'sheet.task-done': ({ by, because }: { by: string; because: string }) =>
    `done by ${by}${because ? `, before the valves: ${because}` : ''}`,
  'sheet.task-after': 'to do, after the valves',
  'sheet.task-to-do': 'to do',
}
