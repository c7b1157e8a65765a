import { computed, ref, watch } from 'vue'
import type { AnswerKey } from '~~/core/job'
import { t } from '../words'
import type { OtherHand, useBench } from './useBench'

const since = ({ minutes }: OtherHand): string =>
  minutes < 1 ? t('use-hand-over.just-now') : t('use-hand-over.min-ago', { minutes })
type Key = Pick<AnswerKey, 'title' | 'help'> & { act: () => unknown }

/** What a page says and offers while somebody else has the job in hand: look on, or take it over. */
export function useHandOver(bench: ReturnType<typeof useBench>) {
  const looksOn = ref(false)
  watch(
    () => bench.otherHand.value?.personName,
    () => {
      looksOn.value = false
    },
  )
  const takeOver: Key = {
    title: t('use-hand-over.take-over'),
    help: t('use-hand-over.the-keys-work-here-and'),
    act: () => bench.answer({ type: 'taken-over', payload: {} }),
  }
  const asked = computed(() => {
    const other = bench.otherHand.value
    if (!other) return null
    const name = other.personName
    if (looksOn.value)
      return {
        label: t('use-hand-over.looking-on-answered', { name, other: since(other) }),
        instruction: bench.next.value?.instruction ?? '',
        why: t('use-hand-over.has-this-job-each-answer', { name }),
        keys: [takeOver],
      }
    return {
      label: t('use-hand-over.last-answer', { other: since(other) }),
      instruction: t('use-hand-over.has-this-job', { name }),
      why: t('use-hand-over.look-on-or-take-it', { name }),
      keys: [
        {
          title: t('use-hand-over.look-on'),
          help: t('use-hand-over.watch-the-answers-come-in'),
          act: () => {
            looksOn.value = true
          },
        },
        takeOver,
      ] satisfies Key[],
    }
  })
  return { asked, press: (index: number) => asked.value?.keys[index]?.act() }
}
