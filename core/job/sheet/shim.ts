import { valveById } from '../../engine'
import { type Said, say, type Tell } from '../../said'
import type { ValveState } from '../state'
import type { JobView } from '../view'
import type { SheetValve } from './content'

/** What went in, and where from. */
function fittedWords({ pin }: JobView, { valveId, shim }: ValveState): Said {
  const fitted = shim.fitted.at(-1)
  if (!fitted) return say('sheet.shim.not-changed')
  const { mm, from, fromValveId } = fitted
  if (from !== 'valve') return say(`sheet.shim.${from}`, { mm })
  return fromValveId === valveId
    ? say('sheet.shim.own', { mm })
    : say('sheet.shim.out-of', { mm, valve: valveById(pin.spec.engine, fromValveId!).name })
}

/** The shim that came out, and what went in from where. */
export function shimWords(view: JobView, valve: ValveState, tell: Tell): SheetValve['shim'] {
  const { engravedMm, measuredMm, fitted } = valve.shim
  if (fitted.length === 0 && engravedMm === null && measuredMm === null) return null
  return { old: tell(say('sheet.shim.old', { engravedMm, measuredMm })), fitted: tell(fittedWords(view, valve)) }
}
