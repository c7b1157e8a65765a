import type { Verdict } from '~~/core/feeler'
import { t } from '../../words'

/** Verdicts in words; “in” alone never means intake. */
export const VERDICT_WORDS: Record<Verdict | 'not measured', string> = {
  'in': t('verdict-words.in'),
  'tight': t('verdict-words.tight'),
  'loose': t('verdict-words.loose'),
  'unproved': t('verdict-words.unproved'),
  'not measured': t('verdict-words.not-measured'),
}
export const VERDICT_COLOR: Record<Verdict | 'not measured', string> = {
  'in': 'var(--petrol)',
  'tight': 'var(--tight)',
  'loose': 'var(--loose)',
  'unproved': 'var(--ink3)',
  'not measured': 'var(--ink3)',
}
