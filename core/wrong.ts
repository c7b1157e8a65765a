import type { AboutsIn, Said, Text, Wrongs } from './said'
import { z } from './zod'

/**
 * What is wrong, as a fact where only a string is taken, as the messages of schemas and errors are: `heard` reads it
 * again. Its sentences know no types of the core, for those are made from the schemas that say it.
 * @param what its name in the catalogue
 * @param about what the sentence is about, where it is about something
 */
export const wrong = <K extends keyof Wrongs>(...[what, about]: [what: K, ...about: AboutsIn<Wrongs>[K]]): string =>
  JSON.stringify({ say: what, ...(about as object | undefined) })

/** A fact where only a string is kept. */
export const inWriting = (text: Text): string => (typeof text === 'string' ? text : JSON.stringify(text))

/** What a message is about: the fact that `wrong` put into it, or its own words. */
export const heard = (message: string): Text =>
  message.startsWith('{"say":') ? (JSON.parse(message) as Said) : message

/** What a schema refuses for which it has no sentence of its own. */
function plainly(issue: z.core.$ZodRawIssue): string | undefined {
  if (issue.code === 'invalid_type' && (issue.input === undefined || issue.input === null))
    return wrong('wrong.missing')
  if (issue.code === 'invalid_type' && (issue.expected === 'number' || issue.expected === 'int'))
    return wrong('wrong.not-a-number')
  if (issue.code === 'too_small') {
    const least = Number(issue.minimum)
    if (issue.origin === 'string') return wrong('wrong.missing')
    if (issue.origin !== 'number' && issue.origin !== 'int') return wrong('wrong.too-few', { least })
    return issue.inclusive ? wrong('wrong.at-least', { least }) : wrong('wrong.over', { limit: least })
  }
  if (issue.code === 'too_big') {
    const most = Number(issue.maximum)
    if (issue.origin === 'string') return wrong('wrong.too-long', { most })
    if (issue.origin !== 'number' && issue.origin !== 'int') return wrong('wrong.too-many', { most })
    return issue.inclusive ? wrong('wrong.at-most', { most }) : wrong('wrong.under', { limit: most })
  }
  if (issue.code === 'unrecognized_keys') return wrong('wrong.not-known-here', { names: issue.keys.join(', ') })
  if (issue.code === 'invalid_value' || issue.code === 'invalid_union') return wrong('wrong.choose-one')
  return wrong('wrong.not-valid')
}
z.config({ customError: plainly })
