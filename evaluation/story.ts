import type { Worked } from '../core/practice'
import { tellEnglish } from '../words'

/** What was asked and answered, in a line. */
export function storyLine({ next, happening, wrong, again }: Worked): string {
  const said = happening.type === 'trial' ? happening.payload.feel : JSON.stringify(happening.payload)
  const asked = again ? 'Look again, for two answers clash' : tellEnglish(next.instruction)
  return `${next.step}: ${asked} → ${said}${wrong ? '   (not so)' : ''}`
}
