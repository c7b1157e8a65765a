import type { PrimeVueConfiguration } from 'primevue/config'
import ConfirmationService from 'primevue/confirmationservice'
import ToastService from 'primevue/toastservice'
import { defineNuxtPlugin } from '#imports'
import { partWords } from '../utils/part-words'

/** The standard parts speak the page's language, can ask before something is ended, and say that something is kept. */
export default defineNuxtPlugin(({ vueApp }) => {
  const { $primevue } = vueApp.config.globalProperties as { $primevue: { config: PrimeVueConfiguration } }
  $primevue.config.locale = { ...$primevue.config.locale, ...partWords() } as PrimeVueConfiguration['locale']
  vueApp.use(ConfirmationService)
  vueApp.use(ToastService)
})
