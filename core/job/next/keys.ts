import { say, type Text } from '../../said'
import { type AnswerKey, key } from './thing'

/** Keys that several steps offer. */
export const withReason = (title: Text): AnswerKey => key(title, say('key.say-why'), null, 'reason')
export const goOnWithReason = withReason(say('key.continue'))
export const leaveIt = withReason(say('key.leave-it'))
export const leaveForNow = withReason(say('key.leave-for-now'))
export const notNow = withReason(say('key.not-now'))
export const writeDown = key(say('key.write-it-down'), say('key.for-the-owner'), null, 'finding')
export const somethingOdd = key(say('key.something-odd'), say('key.write-down'), null, 'finding')
export const findAgain = key(say('key.find-again'), say('key.find-again.help'), {
  type: 'crank',
  payload: { observations: [{ kind: 'lost' }] },
})
export const anotherMethod = key(say('key.another-method'), say('key.another-method.help'), null, 'school')
export const lostTrack = key(say('key.lost-track'), say('key.lost-track.help'), {
  type: 'crank',
  payload: { observations: [{ kind: 'lost' }] },
})
/** The same where a rope or a kick turns it: past compression it runs on by itself. */
export const kickedOn = key(say('key.kicked-on'), say('key.kicked-on.help'), {
  type: 'crank',
  payload: { observations: [{ kind: 'lost' }] },
})
/** A screw that was turned for nothing is put back where its slot was noted, and locked. */
export const turnedBackAndLocked = (valveId: string): AnswerKey =>
  key(say('key.turned-back-and-locked'), say('key.turned-back-and-locked.help'), {
    type: 'screw-checked',
    payload: { valveId, found: 'turned back' },
  })
