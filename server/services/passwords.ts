import { randomBytes, scrypt as scryptCallback, timingSafeEqual } from 'node:crypto'
import { promisify } from 'node:util'

interface Cost {
  N: number
  r: number
  p: number
}
const scrypt = promisify<string, Buffer, number, Cost & { maxmem: number }, Buffer>(scryptCallback)
/**
 * OWASP, Password Storage Cheat Sheet, scrypt: N = 2^17, r = 8, p = 1, or as strong with less memory N = 2^15, p = 3
 * (from memory). The latter: 32 MB a sign-in.
 */
const COST: Cost = { N: 2 ** 15, r: 8, p: 3 }
const BYTES = 32
const derive = (password: string, salt: Buffer, bytes: number, cost: Cost): Promise<Buffer> =>
  scrypt(password.normalize('NFKC'), salt, bytes, { ...cost, maxmem: 256 * cost.N * cost.r })

const written = ({ N, r, p }: Cost, salt: string, hash: string): string => `scrypt$${N}$${r}$${p}$${salt}$${hash}`

/** A salted scrypt hash, with its cost written in it so that it can be raised later. */
export async function hashPassword(password: string): Promise<string> {
  const salt = randomBytes(16)
  return written(COST, salt.toString('base64'), (await derive(password, salt, BYTES, COST)).toString('base64'))
}

function partsOf(stored: string): { cost: Cost; salt: Buffer; hash: Buffer } {
  const [, N, r, p, salt = '', hash = ''] = stored.split('$')
  return {
    cost: { N: Number(N), r: Number(r), p: Number(p) },
    salt: Buffer.from(salt, 'base64'),
    hash: Buffer.from(hash, 'base64'),
  }
}

export async function passwordMatches(password: string, stored: string): Promise<boolean> {
  const { cost, salt, hash } = partsOf(stored)
  if (hash.length === 0) return false
  return timingSafeEqual(hash, await derive(password, salt, hash.length, cost))
}

/**
 * Whether a hash was made at less cost than today's: it is made anew when its password is known, at the next sign-in.
 */
export function isOutdated(stored: string): boolean {
  const { N, r, p } = partsOf(stored).cost
  return N * r * p < COST.N * COST.r * COST.p
}

/** A hash that fits no password, at today's cost. */
export const nobodysHash = (): string => written(COST, 'A'.repeat(22) + '==', 'A'.repeat(43) + '=')
