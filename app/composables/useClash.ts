import { computed, type Ref, ref } from 'vue'
import { type ClashWords, clashWords, type Step } from '~~/core/job'
import { type ClashAnswer, clashAnswers } from '../bench/clash'
import type { useBench } from './useBench'

const clashKey = (clash: ClashWords): string =>
  [clash.newestId, JSON.stringify(clash.newest), ...clash.against.map(f => f.id)].join()
/** The steps in which it matters where the crank is. */
const BY_THE_CRANK: ReadonlySet<Step> = new Set(['find', 'measure', 'set', 'prove'])

/** Answers that conflict, and what can be done: look again at the cheaper, undo one, or keep both. */
export function useClash(
  { view, next }: Pick<ReturnType<typeof useBench>, 'view' | 'next'>,
  isOpen: Ref<boolean>,
  { lookAgain, retractId }: { lookAgain: () => void; retractId: (eventId: string) => void },
) {
  /** A conflict that was seen and kept is not shown again. */
  const kept = ref('')
  const clash = computed(() => {
    if (!view.value || !next.value || !isOpen.value || !BY_THE_CRANK.has(next.value.step)) return null
    const words = clashWords(view.value)
    return words && clashKey(words) !== kept.value ? words : null
  })
  function act({ does, eventId }: ClashAnswer): void {
    if (does === 'look again') lookAgain()
    else if (does === 'keep both') kept.value = clash.value ? clashKey(clash.value) : ''
    else if (eventId) retractId(eventId)
  }
  const clashKeys = computed(() =>
    clash.value && next.value && view.value
      ? clashAnswers(clash.value, next.value, view.value.state.retracted).map(a => ({ ...a, act: () => act(a) }))
      : [],
  )
  return { clash, clashKeys }
}
