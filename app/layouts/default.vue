<script setup lang="ts">
import { navigateTo } from '#imports'
import ShopHeader from '../components/shell/ShopHeader.vue'
import { useDim } from '../composables/useOwnScreen'
import { useOutboxStore } from '../stores/outbox'
import { useSessionStore } from '../stores/session'

const session = useSessionStore()
const outbox = useOutboxStore()
const dim = useDim()
async function signOut(): Promise<void> {
  await session.signOut()
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
      @sign-out="signOut"
      @dim="dim = !dim"
    />
    <slot />
  </div>
</template>
