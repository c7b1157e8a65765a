import { fit, squeeze } from './fit'

/** What a machine is looked for by. */
export interface FindableMachine {
  name: string
  tag: string
  plate: string
  serial: string
  owner: string
  model: string
}
/** How much a word counts that fits there: whoever types a name means the machine before its owner. From memory. */
const WEIGHTS: Record<keyof FindableMachine, number> = {
  tag: 1.05,
  plate: 1.05,
  name: 1,
  serial: 0.95,
  model: 0.9,
  owner: 0.8,
}
const FIELDS = Object.keys(WEIGHTS) as (keyof FindableMachine)[]
/** Under this, a word is not what stands there. A slip in each four letters is still above it. */
const LEAST_WORD = 0.42

const targetsOf = (text: string): string[] => [
  ...new Set([squeeze(text), ...text.split(/[\s/,-]+/).map(squeeze)].filter(Boolean)),
]

/** How well what was typed fits a machine, 0 where a word of it fits nowhere. Slips are forgiven. */
export function machineFit(text: string, machine: FindableMachine): number {
  const words = text
    .split(/[\s,;/]+/)
    .map(squeeze)
    .filter(Boolean)
  // signs alone are no name of anything
  if (words.length === 0) return text.trim() === '' ? 1 : 0
  const targets = FIELDS.map(field => ({ weight: WEIGHTS[field], of: targetsOf(machine[field]) }))
  const best = (word: string) =>
    Math.max(
      ...targets.map(({ weight, of }) => {
        const fits = fit(word, of)
        return fits < LEAST_WORD ? 0 : fits * weight
      }),
    )
  const whole = words.length > 1 ? best(words.join('')) : 0
  const each = words.map(best)
  return each.some(f => f === 0) ? whole : Math.max(whole, each.reduce((sum, f) => sum + f, 0) / each.length)
}

/** A word that stands there as it was typed: what only looks like it is not meant then. */
const AS_TYPED = 0.9
const LOOKS_LIKE = 0.6

function meant<F extends { fit: number }>(found: F[]): F[] {
  const asTyped = found.some(({ fit }) => fit >= AS_TYPED)
  return asTyped ? found.filter(({ fit }) => fit >= LOOKS_LIKE) : found
}

/** Those of many machines that fit what was typed, the best first; names in their order where they fit alike. */
export const findAmongMachines = <M extends FindableMachine>(text: string, machines: readonly M[], most: number): M[] =>
  meant(machines.map(machine => ({ machine, fit: machineFit(text, machine) })).filter(({ fit }) => fit > 0))
    .sort((a, b) => b.fit - a.fit || a.machine.name.localeCompare(b.machine.name))
    .slice(0, most)
    .map(({ machine }) => machine)
