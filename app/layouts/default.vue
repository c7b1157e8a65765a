<script setup lang="ts">
import { useTimeoutFn } from '@vueuse/core'
import { useToast } from 'primevue/usetoast'
import { navigateTo, useRoute } from '#imports'
import ShopHeader from '../components/shell/ShopHeader.vue'
import { useDeviceShop } from '../composables/useDeviceShop'
import { useDim } from '../composables/useOwnScreen'
import { useOutboxStore } from '../stores/outbox'
import { useSessionStore } from '../stores/session'
import { t } from '../words'

const session = useSessionStore()
const outbox = useOutboxStore()
const dim = useDim()
const device = useDeviceShop()
/** After what the page itself wants. */
const SHOP_AFTER_MS = 2000
useTimeoutFn(() => device.refresh(), SHOP_AFTER_MS)
const route = useRoute()
/** The next person goes on where this one was. */
const changeHands = () => navigateTo({ path: '/hands', query: { back: route.fullPath } })
const toast = useToast()
const READ_MS = 7000
async function signOut(): Promise<void> {
  try {
    await session.signOut()
  } catch {
    return toast.add({ severity: 'warn', summary: t('shop-header.still-signed-in'), life: READ_MS })
  }
  await navigateTo('/sign-in')
}
</script>

<template>
  <div class="page">
    <ShopHeader
      :shop="session.shop?.name ?? ''"
      :person="session.person?.name ?? ''"
      :offline="session.offline"
      :waiting="outbox.toSend"
      :dim="dim"
      :practiced="session.person?.hands === 'practiced'"
      @hands="session.chooseHands($event)"
      @change="changeHands"
      @sign-out="signOut"
      @dim="dim = !dim"
    />
    <slot />
  </div>
</template>
