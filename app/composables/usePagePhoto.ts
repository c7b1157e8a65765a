import { ref, shallowRef } from 'vue'
import { wordsFor } from '../utils/errors'
import { upload } from '../utils/upload'

/** The photo of the page that a new revision's figures are from: sent once the revision is there, and kept with it. */
export function usePagePhoto() {
  const photo = shallowRef<File | null>(null)
  /** The revision that was saved without its photo, and why. */
  const unsent = ref<{ revisionId: number; why: string } | null>(null)

  /** @returns whether nothing is left to send */
  async function send(revisionId: number): Promise<boolean> {
    if (!photo.value) return true
    try {
      await upload(`/api/revisions/${revisionId}/page`, photo.value, () => {}, new AbortController().signal)
      unsent.value = null
      return true
    } catch (error) {
      unsent.value = { revisionId, why: wordsFor(error) }
      return false
    }
  }
  return { photo, unsent, send }
}
