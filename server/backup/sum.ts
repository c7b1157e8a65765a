import { createHash } from 'node:crypto'
import { crc32 } from 'node:zlib'
import type { About } from './file'

/** Adds up the statements of a backup as they pass. */
export interface Sum {
  add: (bytes: Buffer) => void
  total: () => string
}

/**
 * CRC-32 (as gzip has it, RFC 1952) finds what a disk spoils, at a seventh of the time of SHA-256; against a hand there
 * is the password. Earlier backups have SHA-256.
 */
export function sumBy(kind: About['sum']): Sum {
  if (kind === 'sha256') {
    const hash = createHash('sha256')
    return { add: bytes => void hash.update(bytes), total: () => hash.digest('hex') }
  }
  let sum = 0
  return { add: bytes => void (sum = crc32(bytes, sum)), total: () => sum.toString(16).padStart(8, '0') }
}
