/**
 * A meter as people type it: spaces between thousands, comma or point before the tenth. Null for nothing, undefined for
 * what is no figure.
 */
export function meterOf(typed: string): number | null | undefined {
  const plain = typed.replace(/[\s\u00A0\u202F]/g, '').replace(',', '.')
  return plain === '' ? null : /^\d+(\.\d)?$/.test(plain) ? Number(plain) : undefined
}
