import { useToast } from 'primevue/usetoast'
import { t } from '../words'

const LIFE_MS = 3500

/** Says for a moment that something is kept, where the eye is and to the ear. */
export function useSaid() {
  const toast = useToast()
  return (words: string = t('common.saved')): void =>
    toast.add({ severity: 'success', summary: words, life: LIFE_MS, closable: false })
}
