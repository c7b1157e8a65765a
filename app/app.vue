<script setup lang="ts">
import { useHead } from '#imports'
import { NuxtLayout, NuxtPage } from '#components'
import { onMounted, watch } from 'vue'
import ConfirmPopup from 'primevue/confirmpopup'
import { useEventListener } from '@vueuse/core'
import { useDim } from './composables/useOwnScreen'
import { useOutboxStore } from './stores/outbox'
import { usePhotosStore } from './stores/photos'
import { LANGUAGE } from './language'

useHead({ htmlAttrs: { lang: LANGUAGE } })
const outbox = useOutboxStore()
const photos = usePhotosStore()
const dim = useDim()
watch(dim, on => document.documentElement.classList.toggle('dark', on), { immediate: true })
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
  <NuxtLayout><NuxtPage /></NuxtLayout>
  <ConfirmPopup />
</template>
