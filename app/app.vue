<script setup lang="ts">
import { NuxtLayout, NuxtPage } from '#components'
import { onMounted, watch } from 'vue'
import { useEventListener, useStorage } from '@vueuse/core'
import { useOutboxStore } from './stores/outbox'

const outbox = useOutboxStore()
const dim = useStorage('wembric-dim', false)
watch(dim, on => document.documentElement.classList.toggle('dark', on), { immediate: true })
useEventListener(window, 'online', () => outbox.flush())
onMounted(async () => {
  await outbox.load()
  await outbox.flush()
})
</script>

<template>
  <NuxtLayout><NuxtPage /></NuxtLayout>
</template>
