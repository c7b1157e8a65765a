import { say, type Text } from '../said'

/** One machine in a letter to its owner. */
export interface ReminderLine {
  /** What the last visit found and nobody has done since, a line each. */
  toDo?: string[]
  machine: string
  tag: string
  when: Text
  why: Text
}
/** What an owner is told: which of their machines are due, when and why. */
export const reminderText = (given: { owner: string; shop: string; lines: readonly ReminderLine[] }) => ({
  subject: say('letter.subject', { lines: given.lines }),
  text: say('letter.text', given),
})
