import { t } from '../../words'

/** What a meter counts. */
export const METER_UNITS = [
  { value: 'h', label: t('common.hours') },
  { value: 'km', label: 'km' },
  { value: 'mi', label: t('common.miles') },
]
