import { reactive, ref } from 'vue'
import type { ShimStockRow } from '~~/shared/shelf'

/** Taps that follow each other sooner than this are one count. From memory: what a thumb does. */
const SETTLES_MS = 400
/** Sets how many of a shim there are, counted on from what was there. @returns whether the shelf took it */
export type CountShim = (shim: ShimStockRow & { was: number }) => Promise<boolean>

/** What is tapped of one shim, until the shelf has it. */
interface Tapped {
  count: number
  timer?: ReturnType<typeof setTimeout>
  /** Being sent: what is tapped meanwhile goes after it, from what it left. */
  sending: boolean
}

/**
 * Shims counted by taps: shown at once, sent when the thumb rests, one after the other. Each says what it was counted
 * on from, so that a page of an hour ago does not undo what others counted.
 */
export function useShimCounts(send: CountShim) {
  const tapped = reactive(new Map<string, Tapped>())
  const keyOf = (shim: ShimStockRow): string => `${shim.diameterMm} ${shim.sizeMm}`
  /** The shim of which the shelf refused a count last: there it is said why. */
  const refusedKey = ref('')
  const shown = (shim: ShimStockRow): number => tapped.get(keyOf(shim))?.count ?? shim.count

  function step(shim: ShimStockRow, by: number): void {
    const key = keyOf(shim)
    const before = tapped.get(key)
    refusedKey.value = ''
    if (before) clearTimeout(before.timer)
    tapped.set(key, { count: Math.max(0, shown(shim) + by), sending: before?.sending ?? false })
    const now = tapped.get(key)!
    if (!now.sending) now.timer = setTimeout(() => void sendNow(shim), SETTLES_MS)
  }

  async function sendNow(shim: ShimStockRow): Promise<void> {
    const key = keyOf(shim)
    const now = tapped.get(key)
    if (!now || now.sending) return
    clearTimeout(now.timer)
    const { count } = now
    if (count === shim.count) return void tapped.delete(key)
    now.sending = true
    const saved = await send({ ...shim, count, was: shim.count })
    const after = tapped.get(key)
    if (!saved) refusedKey.value = key
    // refused: the shelf is shown as it is, and what was tapped on top of a wrong number goes too
    if (!saved || !after || after.count === count) return void tapped.delete(key)
    after.sending = false
    await sendNow({ ...shim, count })
  }

  /** Sends what was tapped last, when the page is left. */
  const finish = (shims: ShimStockRow[]): void => {
    for (const shim of shims) void sendNow(shim)
  }
  return { shown, step, finish, isRefused: (shim: ShimStockRow) => refusedKey.value === keyOf(shim), refusedKey }
}
