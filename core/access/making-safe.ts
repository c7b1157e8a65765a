import { z } from '../zod'

/**
 * Things that are put in a state before anything is turned, in this order, and given back in reverse. The battery: its
 * negative lead off first, on last.
 */
export const SAFE_THINGS = ['stand', 'gear', 'key', 'blade', 'fuel', 'battery', 'plug lead', 'recoil', 'hoses'] as const
export type SafeThing = (typeof SAFE_THINGS)[number]
export const safeThingsSchema = z.array(z.enum(SAFE_THINGS)).max(SAFE_THINGS.length)

/** A machine's things in the order in which they are made safe, each once. */
export const inSafeOrder = (things: readonly SafeThing[]): SafeThing[] => SAFE_THINGS.filter(t => things.includes(t))
