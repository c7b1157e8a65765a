import { PassThrough, type Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { promisify } from 'node:util'
import { deflateRawSync, gzip } from 'node:zlib'

const zip = promisify(gzip)

/** One piece of the database's statements, gzipped where that makes it smaller: photos are packed already. */
export interface Piece {
  bytes: Buffer
  gzipped: boolean
}

const PIECE_BYTES = 8 * 1024 * 1024
/** So many are packed beside each other: the runtime has four threads for it. */
const AT_ONCE = 3
const SAMPLE_BYTES = 64 * 1024
/** What a sample must shrink to before the whole piece is worth packing. */
const WORTH = 0.85

async function packed(bytes: Buffer): Promise<Piece> {
  const sample = bytes.subarray(bytes.length >> 1, (bytes.length >> 1) + SAMPLE_BYTES)
  if (deflateRawSync(sample, { level: 1 }).length > sample.length * WORTH) return { bytes, gzipped: false }
  return { bytes: await zip(bytes, { level: 1 }), gzipped: true }
}

/** So much is read ahead while a piece is on its way to the disk. */
const AHEAD_BYTES = 4 * PIECE_BYTES

async function* cut(from: Readable): AsyncGenerator<Buffer> {
  const source = new PassThrough({ highWaterMark: AHEAD_BYTES })
  // an error comes out of it where it is read
  pipeline(from, source).catch(() => {})
  let parts: Buffer[] = []
  let length = 0
  for await (const part of source as AsyncIterable<Buffer>) {
    parts.push(part)
    length += part.length
    if (length < PIECE_BYTES) continue
    yield Buffer.concat(parts)
    parts = []
    length = 0
  }
  if (length > 0) yield Buffer.concat(parts)
}

/**
 * A stream in pieces, packed several at once and given in order.
 * @param read told of each piece's bytes before it is packed
 */
export async function* piecesOf(source: Readable, read: (bytes: Buffer) => void): AsyncGenerator<Piece> {
  const waiting: Promise<Piece>[] = []
  for await (const bytes of cut(source)) {
    read(bytes)
    const piece = packed(bytes)
    // an error is told where the piece is taken, not before
    piece.catch(() => {})
    waiting.push(piece)
    if (waiting.length >= AT_ONCE) yield await waiting.shift()!
  }
  for (const piece of waiting) yield await piece
}
