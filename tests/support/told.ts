// What the core says, in English, for tests that read it as a mechanic does.
import * as feeler from '../../core/feeler'
import * as history from '../../core/history'
import * as reminder from '../../core/history/reminder'
import type { JobView, NextThing } from '../../core/job'
import * as job from '../../core/job'
import * as sheets from '../../core/job/sheet'
import type { Tell, Text } from '../../core/said'
import * as torque from '../../core/torque'
import { tellEnglish } from '../../words'

export const tell: Tell = tellEnglish

/** The words of a value’s own fields, told; the rest as it is. */
const withWords = <T extends object, K extends keyof T>(value: T, ...fields: K[]): Omit<T, K> & Record<K, string> =>
  ({ ...value, ...Object.fromEntries(fields.map(f => [f, tell(value[f] as Text)])) }) as Omit<T, K> & Record<K, string>

/** The next thing as it is read. It serves a hand as well as the untold one. */
export const read = (next: NextThing) => ({
  ...withWords(next, 'label', 'instruction', 'why'),
  keys: next.keys.map(k => withWords(k, 'title', 'help')),
  doubted: next.doubted.map(d => withWords(d, 'words')),
})
export const nextThing = (view: JobView, wanted: string | null = null) => read(job.nextThing(view, wanted))
export const sheet = (view: JobView) => sheets.sheet(view, tell)
export const progress = (view: JobView) => job.progress(view).map(s => withWords(s, 'words'))

export function clashWords(view: JobView) {
  const clash = job.clashWords(view)
  return (
    clash && {
      ...withWords(clash, 'newest', 'advice'),
      against: clash.against.map(a => withWords(a, 'words')),
      lookAgain: clash.lookAgain && tell(clash.lookAgain),
    }
  )
}
export const offeredWords = (view: JobView) =>
  job.offeredWords(view).map(o => ({
    ...withWords(o, 'ask'),
    answers: o.answers.map(a => withWords(a, 'title')),
    answered: o.answered && tell(o.answered),
  }))
export const turnsToTell = (view: JobView) => job.turnsToTell(view).map(t => withWords(t, 'title'))
export const reasons = (view: JobView) =>
  job.reasons(view).map(r => ({ ...withWords(r, 'words', 'before', 'after'), idle: r.idle ? tell(r.idle) : '' }))
export const schoolChoices = (...given: Parameters<typeof job.schoolChoices>) =>
  job.schoolChoices(...given).map(s => withWords(s, 'name', 'help', 'caution'))

/** The same function, told. */
const told =
  <A extends unknown[]>(words: (...given: A) => Text) =>
  (...given: A): string =>
    tell(words(...given))
export const eventWords = told(job.eventWords)
export const notedWords = told(job.notedWords)
export const marginWords = told(job.marginWords)
export const pastTopWords = told(job.pastTopWords)
export const intervalWords = told(feeler.intervalWords)
export const whyWords = told(history.whyWords)
export const daysWords = told(history.daysWords)
export function reminderText(given: Parameters<typeof reminder.reminderText>[0]) {
  const { subject, text } = reminder.reminderText(given)
  return { subject: tell(subject), text: tell(text) }
}
export function dueByForecast(view: JobView) {
  const due = job.dueByForecast(view)
  return due && withWords(due, 'why')
}
export function judge(...given: Parameters<typeof feeler.judge>) {
  const judgement = feeler.judge(...given)
  return { ...withWords(judgement, 'reason'), cautions: judgement.cautions.map(tell) }
}
export function wrenchSetting(...given: Parameters<typeof torque.wrenchSetting>) {
  const setting = torque.wrenchSetting(...given)
  return { ...setting, doubts: setting.doubts.map(d => withWords(d, 'words')) }
}
export function figureRefused(...given: Parameters<typeof job.figureRefused>) {
  const refusal = job.figureRefused(...given)
  return refusal && tell(refusal)
}
