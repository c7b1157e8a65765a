import { computed, ref, watch } from 'vue'
import { stackNamed } from '~~/core/feeler'
import { setInHand } from '~~/core/job'
import { bladeBeside, instructionFor, tapped } from '../bench/blades-in-hand'
import type { useBench } from './useBench'

/** The blades and the turn that are chosen on the picture; they go with the next answer. */
export function useBladesInHand({ view, next, log }: Pick<ReturnType<typeof useBench>, 'view' | 'next' | 'log'>) {
  const blades = ref<number[] | null>(null)
  const stacking = ref(false)
  const turnDeg = ref<number | null>(null)

  // a chosen blade stays chosen while the answer before it is written down and sent: only a new instruction or answer
  // lets go of it
  watch(
    [() => JSON.stringify(next.value?.instruction), () => log.value.length],
    () => {
      const trial = next.value?.trial
      blades.value = trial?.stack.engravedMm ?? null
      stacking.value = false
      turnDeg.value = trial?.after?.kind === 'screw' ? trial.after.deg : null
    },
    { immediate: true },
  )

  const inHand = computed(() => ({ blades: blades.value, turnDeg: turnDeg.value }))
  const chosenStack = computed(() =>
    view.value && blades.value ? stackNamed(setInHand(view.value), blades.value) : null,
  )
  const instruction = computed(() =>
    view.value && next.value ? instructionFor(next.value, inHand.value, setInHand(view.value).unit) : '',
  )
  /** On to the single blade next to what is in hand. */
  function chooseBlade(step: -1 | 1): void {
    if (!blades.value || !view.value) return
    const to = bladeBeside(setInHand(view.value), chosenStack.value?.totalMm ?? 0, step)
    if (to !== null) blades.value = [to]
  }
  const tapBlade = (engravedMm: number): void => {
    blades.value = tapped(blades.value ?? [], engravedMm, stacking.value)
  }
  return { blades, stacking, turnDeg, inHand, chosenStack, instruction, chooseBlade, tapBlade }
}
