import { computed, ref, watch } from 'vue'
import { stackNamed } from '~~/core/feeler'
import { type CardLine, setInHand } from '~~/core/job'
import { bladeBeside, instructionFor, lineKey, tapped } from '../bench/blades-in-hand'
import type { useBench } from './useBench'

/** The blades and the turn that are chosen on the picture; they go with the next answer. */
export function useBladesInHand({ view, next, log }: Pick<ReturnType<typeof useBench>, 'view' | 'next' | 'log'>) {
  const blades = ref<number[] | null>(null)
  const stacking = ref(false)
  const turnDeg = ref<number | null>(null)
  const notSo = ref<ReadonlySet<string>>(new Set())

  // a chosen blade stays chosen while the answer before it is written down and sent: only a new instruction or answer
  // lets go of it
  watch(
    [() => JSON.stringify(next.value?.instruction), () => log.value.length],
    () => {
      const trial = next.value?.trial
      blades.value = trial?.stack.engravedMm ?? null
      stacking.value = false
      notSo.value = new Set()
      turnDeg.value = trial?.after?.kind === 'screw' ? trial.after.deg : null
    },
    { immediate: true },
  )

  const inHand = computed(() => ({ blades: blades.value, turnDeg: turnDeg.value, notSo: notSo.value }))
  /** A tap says that a line of the card is not so; another that it is. */
  function tapLine(line: CardLine): void {
    const key = lineKey(line)
    const others = [...notSo.value].filter(k => k !== key)
    notSo.value = new Set(notSo.value.has(key) ? others : [...others, key])
  }
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
  return { blades, stacking, turnDeg, inHand, chosenStack, instruction, chooseBlade, tapBlade, notSo, tapLine }
}
