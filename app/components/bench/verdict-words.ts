import type { Verdict } from '~~/core/feeler'

/** Verdicts in words; “in” alone never means intake. */
export const VERDICT_WORDS: Record<Verdict | 'not measured', string> = {
  'in': 'In',
  'tight': 'Tight',
  'loose': 'Loose',
  'unproved': 'Unproved',
  'not measured': 'Not measured',
}
export const VERDICT_COLOR: Record<Verdict | 'not measured', string> = {
  'in': 'var(--petrol)',
  'tight': 'var(--tight)',
  'loose': 'var(--loose)',
  'unproved': 'var(--ink3)',
  'not measured': 'var(--ink3)',
}
