import type { records as english } from '../en/records'
import type { Words } from '../teller'
import { valveName, within } from './grammar'

export const records: Words<typeof english> = {
  'card.to-do': ({ tasks }) => `Válvulas hechas; por hacer: ${tasks.join(', ')}`,
  'card.sheet': 'Hoja de trabajo',
  'card.parked': ({ hours }) => `parada ${hours} h`,
  'card.abandoned': 'Abandonado',
  'card.on-hold': 'En espera',
  'card.is-free': ({ name }) => `${name || 'Alguien'} está libre`,
  'card.after-valves': 'después de las válvulas',

  'visit.no-valve': 'Ninguna válvula registrada',
  'visit.done': ({ set, out, proved }) => {
    const done =
      set === 'all'
        ? 'Todas ajustadas'
        : set.length === 0
          ? 'Ninguna tocada'
          : `${set.map((name, i) => (i ? within(name) : valveName(name))).join(', ')}: ajuste hecho`
    return out.length
      ? `${done}; fuera de medida: ${out.map(within).join(', ')}`
      : proved
        ? `${done}, todo comprobado`
        : done
  },

  'calendar.name': ({ shop }) => `${shop}: revisiones de válvulas`,
  'calendar.tag': ({ tag }) => `etiqueta ${tag}`,
  'calendar.whose': ({ owner, tag }) => `${owner}, etiqueta ${tag}`,
  'calendar.entry': ({ machine }) => `${machine}: revisión de válvulas`,
  'letter.due': ({ when, late }, tell) => `Le toca ${tell(when)}${tell(late) ? `, ${tell(late)}` : ''}`,
  'summary.not-read': 'sin leer',
  'summary.not-enough': 'faltan visitas para saberlo',
  'summary.machine': ({ name, tag }) => `${name}, etiqueta ${tag}`,
  'summary.day': 'Día',
  'paper.page': ({ footer, page, count }) => `${footer}, página ${page} de ${count}`,
  'paper.job-foot': ({ shop, job, judgement }) => `${shop}, trabajo ${job}, criterio ${judgement}`,
  'sheet.task-done': ({ by, because }) => `hecho por ${by}${because ? `, antes de las válvulas: ${because}` : ''}`,
  'sheet.task-after': 'por hacer, después de las válvulas',
  'sheet.task-to-do': 'por hacer',
}
