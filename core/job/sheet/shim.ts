import { valveById } from '../../engine'
import { formatLength } from '../../units'
import type { ValveState } from '../state'
import type { JobView } from '../view'
import type { SheetValve } from './content'

/** The shim that came out, and what went in from where. */
export function shimWords({ pin }: JobView, { valveId, shim }: ValveState): SheetValve['shim'] {
  const fitted = shim.fitted.at(-1)
  if (!fitted && shim.engravedMm === null && shim.measuredMm === null) return null
  const old = [
    shim.engravedMm === null ? '' : `${formatLength(shim.engravedMm, 'mm')} engraved`,
    shim.measuredMm === null ? '' : `${formatLength(shim.measuredMm, 'mm')} measured`,
  ]
    .filter(Boolean)
    .join(', ')
  const from = !fitted
    ? ''
    : fitted.from === 'valve'
      ? fitted.fromValveId === valveId
        ? ', its own'
        : ` out of the ${valveById(pin.spec.engine, fitted.fromValveId!).name.toLowerCase()}`
      : fitted.from === 'stock'
        ? ' from the shelf'
        : ' bought'
  return { old, fitted: fitted ? `${formatLength(fitted.mm, 'mm')}${from}` : 'not changed' }
}
