import type { ClashWords, NextThing } from '~~/core/job'
import type { Text } from '~~/core/said'
import { t, tell } from '../words'

/** What can be done about answers that conflict, in the order of its keys. */
export interface ClashAnswer {
  does: 'look again' | 'keep both' | 'undo'
  title: string
  help: Text
  /** The answer that is undone, for “undo”. */
  eventId: string | null
}

/**
 * The keys for answers that conflict. Each may be true: a valve without clearance and a decompressor feel like the
 * other stroke. So one of them goes on to the next thing, and says what that is.
 * @param retracted answers that were undone already
 */
export function clashAnswers(clash: ClashWords, next: NextThing, retracted: ReadonlySet<string>): ClashAnswer[] {
  const [earlier] = clash.against.filter(f => !retracted.has(f.id))
  return [
    ...(clash.lookAgain
      ? [{ does: 'look again' as const, title: t('clash.look-again'), help: clash.lookAgain, eventId: null }]
      : []),
    {
      does: 'keep both',
      title: t('clash.keep-both'),
      help: t('clash.and-go-on', { instruction: tell(next.instruction) }),
      eventId: null,
    },
    { does: 'undo', title: t('clash.undo-the-latest'), help: clash.newest, eventId: clash.newestId },
    ...(earlier
      ? [{ does: 'undo' as const, title: t('clash.undo-the-earlier'), help: earlier.words, eventId: earlier.id }]
      : []),
  ]
}
