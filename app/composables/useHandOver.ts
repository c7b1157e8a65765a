import { computed, ref, watch } from 'vue'
import type { AnswerKey } from '~~/core/job'
import type { OtherHand, useBench } from './useBench'

const since = ({ minutes }: OtherHand): string => (minutes < 1 ? 'just now' : `${minutes} min ago`)
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
    title: 'Take over',
    help: 'the keys work here and stop there',
    act: () => bench.answer({ type: 'taken-over', payload: {} }),
  }
  const asked = computed(() => {
    const other = bench.otherHand.value
    if (!other) return null
    const name = other.personName
    if (looksOn.value)
      return {
        label: `Looking on: ${name} answered ${since(other)}`,
        instruction: bench.next.value?.instruction ?? '',
        why: `${name} has this job. Each answer shows here at once.`,
        keys: [takeOver],
      }
    return {
      label: `Last answer ${since(other)}`,
      instruction: `${name} has this job`,
      why: `Look on, or take it over. ${name} will see it at once.`,
      keys: [
        {
          title: 'Look on',
          help: 'watch the answers come in',
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
