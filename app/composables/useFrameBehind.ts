import { onUnmounted, type ShallowRef, shallowRef, watch } from 'vue'

/** A frame never comes while a page is hidden; then this is soon enough. */
const HIDDEN_MS = 60

/** A value that follows its source one frame later, the first time at once. */
export function useFrameBehind<T>(source: () => T): ShallowRef<T> {
  const behind = shallowRef(source()) as ShallowRef<T>
  let frame = 0
  let timer: ReturnType<typeof setTimeout> | undefined
  const stop = () => {
    cancelAnimationFrame(frame)
    clearTimeout(timer)
  }
  watch(source, value => {
    stop()
    if (behind.value === null) {
      behind.value = value
      return
    }
    const follow = () => {
      stop()
      behind.value = value
    }
    // after the frame that shows the words, not before it
    frame = requestAnimationFrame(() => {
      frame = requestAnimationFrame(follow)
    })
    timer = setTimeout(follow, HIDDEN_MS)
  })
  onUnmounted(stop)
  return behind
}
