import { formatTorque } from '../../core/units'
import type { missing as english } from '../en/missing'
import type { Words } from '../teller'
import { theRole, valveName } from './grammar'

export const missing: Words<typeof english> = {
  'missing.machine': 'No se confirmó la máquina.',
  'missing.spec': 'No se confirmaron los datos.',
  'missing.figure': ({ role }) =>
    `Hay dos cifras impresas para ${theRole(role)}, y ningún encargado ha dicho cuál vale.`,
  'missing.spec-approved': 'Los datos son un borrador que ningún encargado aprobó.',
  'missing.warm': 'No se sabe si el motor está caliente como pide el fabricante.',
  'missing.cold': ({ limitC }) => `No se sabe si el motor está frío (límite ${limitC} °C).`,
  'missing.safe': 'Nadie confirmó que el motor no puede arrancar.',
  'missing.off': ({ item }) => `“${item}” no se quitó.`,
  'missing.plug-read': 'No se leyó la bujía.',
  'missing.plug-gap': 'No se midió la luz de la bujía.',
  'missing.valves': 'No se confirmó cuál válvula es cuál.',

  'missing.vain': ({ valve }) => `${valveName(valve)}: el tornillo se abrió mucho y la lámina sigue sin entrar.`,
  'missing.differs': ({ valve }) => `${valveName(valve)}: mide distinto en dos lugares.`,
  'missing.place': 'No está comprobado que las válvulas estén cerradas aquí.',
  'missing.no-stop': ({ valve }) => `${valveName(valve)}: ninguna parada de este método le sirve.`,
  'missing.off-stop': ({ valve }) => `${valveName(valve)}: medida en una parada que no le sirve.`,
  'missing.second-place': ({ valve }) =>
    `${valveName(valve)}: puede estar abierta en lo más alto, y no se midió en otro lugar.`,
  'missing.second-place.complaint': 'Patea o arranca duro, y el escape solo se midió en lo más alto.',
  'missing.decompressor': 'Nadie revisó si un descompresor abre el escape en lo más alto.',
  'missing.turned': 'No se giró el motor a mano.',

  'missing.as-found': ({ valve }) => `${valveName(valve)}: la medida inicial no está comprobada.`,
  'missing.set': ({ valve }) => `${valveName(valve)}: sin ajustar.`,
  'missing.locknut': ({ valve }) => `${valveName(valve)}: la contratuerca no está apretada.`,
  'missing.apart': ({ valve }) => `${valveName(valve)}: puede medir distinto en dos lugares.`,
  'missing.far': ({ valve, turns }) =>
    `${valveName(valve)}: su tornillo está a ${turns.toFixed(1)} vueltas de donde estaba.`,
  'missing.proved': ({ valve }) => `${valveName(valve)}: sin comprobar tras dos vueltas.`,
  'missing.look-again': ({ valve }) => `${valveName(valve)}: se deshizo una respuesta en la que se apoyaba.`,

  'missing.order': 'Respuestas de dos aparatos aún no tienen orden.',
  'missing.out': ({ item }) => `“${item}” entró y no se vio salir.`,
  'missing.gasket': 'No se dijo nada de la junta.',
  'missing.back': ({ item }, tell) => `${tell(item)}: se quitó y no se vio montar.`,
  'missing.torque': ({ part, torqueNm }) =>
    `No se apretó ${part === 'cover' ? 'la tapa' : 'la bujía'}${torqueNm === null ? '' : ` a ${formatTorque(torqueNm)}`}.`,
  'missing.ran': 'No se hizo funcionar el motor.',
  'missing.next-due': 'No se dijo nada de la próxima revisión.',
}
