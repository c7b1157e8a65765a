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
    help: 'the keys work here, and rest there',
    act: () => bench.answer({ type: 'taken-over', payload: {} }),
  }
  const asked = computed(() => {
    const other = bench.otherHand.value
    if (!other) return null
    const name = other.personName
    if (looksOn.value)
      return {
        label: `Looking on: ${name}, ${since(other)}`,
        instruction: bench.next.value?.instruction ?? '',
        why: `${name} has this job in hand. What ${name} answers shows here at once.`,
        keys: [takeOver],
      }
    return {
      label: 'In another hand',
      instruction: `${name} has this job, ${since(other)}`,
      why: 'Two who answer at once spoil each other’s readings. Look on, or take it over; the other is told.',
      keys: [
        {
          title: 'Look on',
          help: 'see each answer as it is given',
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
