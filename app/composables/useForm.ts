import { ref } from 'vue'
import { Refused } from '../utils/api'
import { wordsFor } from '../utils/errors'

/** Sends a form once at a time, and keeps what was wrong by field. Nothing that was typed is lost. */
export function useForm() {
  const busy = ref(false)
  const failed = ref('')
  const refusal = ref<Refused | null>(null)
  /** What is wrong with a field, by the server's words. */
  const wrong = (name: string): string | undefined => refusal.value?.field(name)

  /** Somebody else changed the same meanwhile: what is there now is to be shown. */
  const isChangedMeanwhile = (): boolean => refusal.value?.problem.code === 'changed-meanwhile'

  /** Another thing is asked by the same form: what was wrong with the one before says nothing of it. */
  function forget(): void {
    failed.value = ''
    refusal.value = null
  }
  async function send<T>(work: () => Promise<T>): Promise<T | null> {
    busy.value = true
    forget()
    try {
      return await work()
    } catch (error) {
      refusal.value = error instanceof Refused ? error : null
      failed.value = wordsFor(error)
      return null
    } finally {
      busy.value = false
    }
  }
  return { busy, failed, refusal, wrong, isChangedMeanwhile, send, forget }
}
