import { fahrenheit, formatLength, formatMeter } from '../../core/units'
import type { sheet as english } from '../en/sheet'
import type { Words } from '../teller'
import { gapTold, LOOKS } from './answers'
import { capital, roleName, the, valveName } from './grammar'
import { FEELS } from './readings'

const noted = (words: string, { note }: { note: string }, joint: string): string =>
  words + (note ? `${joint}${note}` : '')

export const sheet: Words<typeof english> = {
  'sheet.not-recorded': 'sin registrar',
  'sheet.cold': ({ celsius, hours }) =>
    [
      celsius !== null && `${celsius} °C, ${Math.round(fahrenheit(celsius))} °F`,
      hours !== null && `parado ${Number(hours.toFixed(1))} h`,
    ]
      .filter(Boolean)
      .join(', ') || 'sin registrar',
  'sheet.by-the-manual': 'según el manual',
  'sheet.meter-not-read': 'sin leer',
  'sheet.first-visit': 'primera visita registrada',
  'sheet.since-last': ({ use, unit }) => `${formatMeter(use, unit)} desde la última`,
  'sheet.locknut': 'Contratuerca',
  'sheet.cover': 'Tapa',
  'sheet.plug': 'Bujía',
  'sheet.plug-look': ({ look }) => capital(LOOKS[look] ?? look),
  'sheet.plug-and-gap': ({ look, was, foundMm, leftMm }) =>
    `${capital(LOOKS[look] ?? look)}; luz ${gapTold(was, foundMm, leftMm)}`,
  'sheet.spec-says': ({ part, spec }, tell) => `${capital(tell(part))}: los datos dicen “${spec}”.`,
  'sheet.plug-not-read': 'sin leer',
  'sheet.gasket.new': g => noted('Junta nueva', g, ': '),
  'sheet.gasket.used again': g => noted('Junta usada otra vez', g, ': '),
  'sheet.gasket.compound': g => noted('Sellador', g, ': '),
  'sheet.run.clean': r => noted('Funcionó bien: sin ruido ni fuga', r, '. '),
  'sheet.run.ticks': r => noted('Funcionó, suena', r, '. '),
  'sheet.run.weeps': r => noted('Funcionó, gotea', r, '. '),
  'sheet.run.will not start': r => noted('No arrancó', r, '. '),
  'sheet.not-run': 'sin probar',
  'sheet.switched': ({ from, to, by }) =>
    `Empezó con la revisión ${from}; ${by} pasó a la revisión ${to} cuando entró en vigor.`,
  'sheet.figure': ({ role, figure, reason, by }, tell) => `${roleName(role)} ${tell(figure)}: ${reason}. ${by}.`,
  'sheet.again': ({ valve, phase, blade, first, last }, tell) =>
    `${valveName(valve)}, ${tell(phase)}: ${blade} ${FEELS[first]} primero, ${FEELS[last]} al probar otra vez.`,
  'sheet.undone': ({ answer, by, mistake }, tell) =>
    `${tell(answer)}: ${mistake ? 'escrito por error' : 'girado atrás en el motor'}, deshecho por ${by}.`,
  'sheet.shim.old': ({ engravedMm, measuredMm }) =>
    [
      engravedMm === null ? '' : `${formatLength(engravedMm, 'mm')} grabado`,
      measuredMm === null ? '' : `${formatLength(measuredMm, 'mm')} medido`,
    ]
      .filter(Boolean)
      .join(', '),
  'sheet.shim.not-changed': 'sin cambiar',
  'sheet.shim.own': ({ mm }) => `${formatLength(mm, 'mm')}, la suya`,
  'sheet.shim.out-of': ({ mm, valve }) => `${formatLength(mm, 'mm')} de ${the(valve)}`,
  'sheet.shim.stock': ({ mm }) => `${formatLength(mm, 'mm')} del estante`,
  'sheet.shim.bought': ({ mm }) => `${formatLength(mm, 'mm')} comprada`,
  'sheet.target': ({ target }, tell) => `Objetivo: ${tell(target).toLowerCase()}.`,
  'sheet.habit': ({ habit }, tell) => `${tell(habit)}.`,
  'sheet.lock': ({ shift }, tell) => `Registrado: ${tell(shift)}.`,
  'sheet.wrench': ({ settingNm, wrench, adapter }) =>
    `a ${Number(settingNm.toFixed(2))} N·m con ${wrench}${adapter ? ` y ${adapter}` : ''}`,
  'sheet.up-to': ({ figure, most }) => `${figure}, hasta ${most}`,
  'sheet.place-unknown': 'no se sabe',
  'sheet.none': 'ninguna',
  'sheet.not-needed': 'no hizo falta',
  'sheet.estimate': ({ words, by }) => `${words}, por ${by}`,
  'sheet.back': 'puesta',
  'sheet.out': 'fuera',
  'sheet.done': 'hecho',
  'sheet.not-ticked': 'sin marcar',
}
