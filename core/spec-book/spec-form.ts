import sameData from 'fast-deep-equal'
import { type Engine, engineParts, engineSchema } from '../engine'
import { heard } from '../wrong'
import { candidate } from './spec-candidate'
import {
  type Exact,
  fieldAt,
  FIELDS_OF,
  SPEC_DEFAULTS,
  SPEC_FIELDS,
  type SpecText,
  type SpecWrong,
} from './spec-fields'
import { specText } from './spec-said'

/** The exact parts whose fields still say what they said of them. */
function standing(text: SpecText, exact: Exact): Exact {
  const keys = Object.keys(exact) as (keyof Engine)[]
  if (keys.length === 0) return {}
  const whole = engineParts.safeParse({ ...candidate(text, exact).data, ...exact })
  if (!whole.success) return {}
  const said = specText(whole.data)
  return Object.fromEntries(
    keys.filter(key => FIELDS_OF[key]?.every(field => said[field] === text[field])).map(key => [key, whole.data[key]]),
  )
}

/**
 * Reads the plain fields. An empty field is its default or is not claimed.
 * @param exact what an export wrote beside the fields; a part of it stands only while its fields are as they were
 * @returns the engine data, or by field what is wrong and what to type instead
 */
export function readSpec(given: Partial<SpecText>, exact: Exact = {}): { engine: Engine | null; wrong: SpecWrong } {
  const text = Object.fromEntries(
    SPEC_FIELDS.map(f => [f, (given[f] ?? '').trim() || (f === 'cylinders' ? '' : SPEC_DEFAULTS[f])]),
  ) as SpecText
  text.cylinders ||= SPEC_DEFAULTS.cylinders
  const kept = standing(text, exact)
  const { data, wrong } = candidate(text, kept)
  for (const key of Object.keys(kept) as (keyof Engine)[])
    for (const field of FIELDS_OF[key]) Reflect.deleteProperty(wrong, field)
  const parsed = engineSchema.safeParse({ ...data, ...kept })
  for (const issue of parsed.error?.issues ?? []) wrong[fieldAt(issue.path)] ??= heard(issue.message)
  return { engine: parsed.success && Object.keys(wrong).length === 0 ? parsed.data : null, wrong }
}

/**
 * The plain fields of an engine, and beside them what they cannot say: `readSpec` of both gives the same engine.
 */
export function writeSpec(engine: Engine): { text: SpecText; exact: Exact } {
  const text = specText(engine)
  const exact: Exact = {}
  const differing = () => {
    const read = engineParts.safeParse({ ...candidate(text, exact).data, ...exact })
    const again = read.success ? read.data : (candidate(text, exact).data as unknown as Engine)
    return (Object.keys(FIELDS_OF) as (keyof Engine)[]).filter(
      key => !(key in exact) && !sameData(again[key], engine[key]),
    )
  }
  // what is written of cylinders and valves decides how stops are read: until nothing differs
  for (let keys = differing(); keys.length > 0; keys = differing())
    for (const key of keys) Object.assign(exact, { [key]: engine[key] })
  return { text, exact }
}
