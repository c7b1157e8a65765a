/** Even numbers in [0, 1), the same on every run of one seed. */
export type Random = () => number

/** A small generator of even numbers from a seed: mulberry32 (public domain), from memory. */
export function randomOf(seed: number): Random {
  let a = seed >>> 0
  return () => {
    a = (a + 0x6d2b79f5) >>> 0
    let t = Math.imul(a ^ (a >>> 15), 1 | a)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32
  }
}

/** A draw from the normal distribution about 0. Source: Box and Muller, 1958. */
export const normal = (random: Random, sigma: number): number =>
  sigma * Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
/** An even draw from [from, to). */
export const between = (random: Random, from: number, to: number): number => from + (to - from) * random()
/** One of several, each as likely. */
export const oneOf = <T>(random: Random, of: readonly T[]): T => of[Math.floor(random() * of.length)]!
