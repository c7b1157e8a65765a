import QRCode from 'qrcode'

/** The quiet zone is four cells, as the standard wants (ISO/IEC 18004). */
const QUIET = 4

/**
 * An address as a code that a phone's camera reads. Error correction M: a thumb's grease may hide a seventh of it.
 * @returns the path of its dark cells, and how many cells a side has
 */
export function qrDrawing(address: string): { path: string; side: number } {
  const { size, data } = QRCode.create(address, { errorCorrectionLevel: 'M' }).modules
  const path = Array.from(data, (dark, i) =>
    dark ? `M ${(i % size) + QUIET} ${Math.floor(i / size) + QUIET} h 1 v 1 h -1 Z` : '',
  )
  return { path: path.filter(Boolean).join(' '), side: size + 2 * QUIET }
}
