import { computed, ref, type Ref } from 'vue'
import { type ClashWords, clashWords, type Step } from '~~/core/job'
import type { useBench } from './useBench'

const clashKey = (clash: ClashWords): string => [clash.newestId, clash.newest, ...clash.against.map(f => f.id)].join()
/** The steps in which it matters where the crank is. */
const BY_THE_CRANK: ReadonlySet<Step> = new Set(['find', 'measure', 'set', 'prove'])

/** Answers that cannot all be so, and what can be done: look again at the cheaper, take one back, or let both stand. */
export function useClash(
  { view, next }: Pick<ReturnType<typeof useBench>, 'view' | 'next'>,
  isOpen: Ref<boolean>,
  { lookAgain, retractId }: { lookAgain: () => void; retractId: (eventId: string) => void },
) {
  /** A clash that was seen and let stand is not shown again. */
  const letStand = ref('')
  const clash = computed(() => {
    if (!view.value || !next.value || !isOpen.value || !BY_THE_CRANK.has(next.value.step)) return null
    const words = clashWords(view.value)
    return words && clashKey(words) !== letStand.value ? words : null
  })
  const clashKeys = computed((): { title: string; help: string; act: () => void }[] => {
    const words = clash.value
    if (!words) return []
    const earlier = words.against.slice(0, 1).filter(f => !view.value?.state.retracted.has(f.id))
    return [
      ...(words.lookAgain ? [{ title: 'Look again', help: words.lookAgain, act: lookAgain }] : []),
      { title: 'Take the newest back', help: words.newest, act: () => retractId(words.newestId) },
      ...earlier.map(f => ({ title: 'Take the earlier back', help: f.words, act: () => retractId(f.id) })),
      {
        title: 'Let both stand',
        help: 'the belief weighs them',
        act: () => {
          letStand.value = clashKey(words)
        },
      },
    ]
  })
  return { clash, clashKeys }
}
