import { randomBytes, scrypt as scryptCallback, timingSafeEqual } from 'node:crypto'
import { promisify } from 'node:util'

const scrypt = promisify<string, Buffer, number, { N: number; r: number; p: number }, Buffer>(scryptCallback)
const COST = { N: 16384, r: 8, p: 1 }
const BYTES = 32

/** A salted scrypt hash, with its cost written in it so that it can be raised later. */
export async function hashPassword(password: string): Promise<string> {
  const salt = randomBytes(16)
  const hash = await scrypt(password.normalize('NFKC'), salt, BYTES, COST)
  return `scrypt$${COST.N}$${COST.r}$${COST.p}$${salt.toString('base64')}$${hash.toString('base64')}`
}

export async function passwordMatches(password: string, stored: string): Promise<boolean> {
  const [, N, r, p, salt = '', hash = ''] = stored.split('$')
  const wanted = Buffer.from(hash, 'base64')
  if (wanted.length === 0) return false
  const given = await scrypt(password.normalize('NFKC'), Buffer.from(salt, 'base64'), wanted.length, {
    N: Number(N),
    r: Number(r),
    p: Number(p),
  })
  return timingSafeEqual(wanted, given)
}
