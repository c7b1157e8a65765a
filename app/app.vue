<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import ConfirmPopup from 'primevue/confirmpopup'
import Toast from 'primevue/toast'
import { onMounted, watch } from 'vue'
import { NuxtLayout, NuxtPage, NuxtRouteAnnouncer } from '#components'
import { useHead, useRouter } from '#imports'
import NewVersion from './components/shell/NewVersion.vue'
import { useNewVersion } from './composables/useNewVersion'
import { useBig, useDim, useStark } from './composables/useOwnScreen'
import { LANGUAGE } from './language'
import { useOutboxStore } from './stores/outbox'
import { usePhotosStore } from './stores/photos'
import { t } from './words'

useHead({ htmlAttrs: { lang: LANGUAGE } })
const outbox = useOutboxStore()
const photos = usePhotosStore()
const dim = useDim()
const [big, stark] = [useBig(), useStark()]
for (const [name, on] of Object.entries({ dark: dim, big, stark }))
  watch(on, is => document.documentElement.classList.toggle(name, is), { immediate: true })
/** Past the header, to what the page is about. */
function toContent(): void {
  const main = document.querySelector('main')
  if (!main) return
  main.tabIndex = -1
  main.focus()
}
const newVersion = useNewVersion()
// a seam: all that was answered has arrived, or another page opens
watch(
  () => outbox.toSend,
  left => left === 0 && newVersion.seam(),
)
useRouter().afterEach(() => newVersion.seam())
const send = () => Promise.all([outbox.flush(), photos.flush()])
useEventListener(window, 'online', send)
onMounted(async () => {
  // without a store there is nothing that waits
  await Promise.all([outbox.load().catch(() => {}), photos.load().catch(() => {})])
  await send()
  // a browser that is short of room asks nobody before it clears what it may
  await navigator.storage?.persist?.().catch(() => false)
})
</script>

<template>
  <a class="skip" href="#content" @click.prevent="toContent">{{ t('app.skip-to-content') }}</a>
  <div class="hidden-words"><NuxtRouteAnnouncer /></div>
  <NewVersion v-if="newVersion.told.value" @use="newVersion.use" />
  <div id="content">
    <NuxtLayout><NuxtPage /></NuxtLayout>
  </div>
  <ConfirmPopup />
  <Toast position="top-center" />
</template>
