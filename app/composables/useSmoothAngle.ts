import { TransitionPresets, usePreferredReducedMotion, useTransition } from '@vueuse/core'
import { computed, type Ref } from 'vue'
import { ref, watch } from 'vue'
import { wrap } from '~~/core/engine'

const TURN_MS = 600

/** An angle of the cycle that follows another smoothly, always in the running direction, as a crank does. */
export function useSmoothAngle(target: Ref<number>): Ref<number> {
  const motion = usePreferredReducedMotion()
  // unwrapped: grows without end, so that 700° → 20° turns on by 40°
  const unwrapped = ref(target.value)
  watch(target, deg => {
    unwrapped.value += wrap(deg - unwrapped.value)
  })
  const shown = useTransition(unwrapped, {
    duration: TURN_MS,
    transition: TransitionPresets.easeInOutCubic,
    disabled: computed(() => motion.value === 'reduce'),
  })
  return computed(() => wrap(shown.value))
}
