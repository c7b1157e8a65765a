import { DAY_MS } from '~~/core/units'
import { LOCALE } from '../language'
import { t } from '../words'

const SUNDAY = Date.UTC(2026, 0, 4)
const named = (options: Intl.DateTimeFormatOptions, count: number, at: (i: number) => number): string[] => {
  const format = new Intl.DateTimeFormat(LOCALE, { ...options, timeZone: 'UTC' })
  return Array.from({ length: count }, (_, i) => format.format(at(i)))
}
const days = (weekday: 'long' | 'short' | 'narrow') => named({ weekday }, 7, i => SUNDAY + i * DAY_MS)
const months = (month: 'long' | 'short') => named({ month }, 12, i => Date.UTC(2026, i, 1))

/** What a calendar calls its days and months: worked out where there is one, for it takes a slow phone a while. */
export const calendarNames = () => ({
  dayNames: days('long'),
  dayNamesShort: days('short'),
  dayNamesMin: days('narrow'),
  monthNames: months('long'),
  monthNamesShort: months('short'),
})

/** What the standard parts say by themselves, in the page's language. */
export const partWords = () => ({
  accept: t('parts.yes'),
  reject: t('parts.no'),
  emptyMessage: t('parts.nothing-here'),
  emptyFilterMessage: t('parts.nothing-like-that'),
  emptySearchMessage: t('parts.nothing-like-that'),
  searchMessage: t('parts.some-fit'),
  selectionMessage: t('parts.one-chosen'),
  emptySelectionMessage: t('parts.nothing-chosen'),
  chooseDate: t('parts.choose-a-day'),
  today: t('common.today'),
  clear: t('parts.clear'),
  prevMonth: t('parts.month-before'),
  nextMonth: t('parts.month-after'),
  prevYear: t('parts.year-before'),
  nextYear: t('parts.year-after'),
  prevDecade: t('parts.ten-years-before'),
  nextDecade: t('parts.ten-years-after'),
  chooseMonth: t('parts.choose-a-month'),
  chooseYear: t('parts.choose-a-year'),
  aria: {
    listLabel: t('parts.choices'),
    close: t('common.close'),
    firstPageLabel: t('parts.first-page'),
    lastPageLabel: t('parts.last-page'),
    prevPageLabel: t('parts.page-before'),
    nextPageLabel: t('parts.page-after'),
    pageLabel: t('parts.page', { page: '{page}' }),
    selectAll: t('parts.choose-all'),
    unselectAll: t('parts.choose-none'),
    selectRow: t('parts.choose-the-row'),
    unselectRow: t('parts.leave-the-row'),
  },
})
