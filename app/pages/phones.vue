<script setup lang="ts">
import { computed, onMounted } from 'vue'
import { definePageMeta, useHead } from '#imports'
import LoadingRows from '../components/shell/LoadingRows.vue'
import QrCode from '../components/shop/QrCode.vue'
import SignedInDevices from '../components/shop/SignedInDevices.vue'
import { usePhones } from '../composables/usePhones'
import { useSessionStore } from '../stores/session'
import { t } from '../words'

definePageMeta({ words: ['pages'] })
useHead({ title: t('page-phones.title-wembric') })
const session = useSessionStore()
const { form, phones, load, rename, signOut } = usePhones()
onMounted(load)
/** What is typed at the shop's computer. */
const START: string = 'npm start -- --lan'
const also = computed(() => (phones.value?.app ?? []).slice(1).join(', '))
</script>

<template>
  <main class="form wide">
    <h1>{{ t('page-phones.title') }}</h1>
    <p v-if="form.failed.value" class="wrong" role="alert">{{ form.failed.value }}</p>
    <LoadingRows v-else-if="!phones" :words="t('page-phones.title')" />
    <div v-if="phones" class="beside">
      <section v-if="phones.app">
        <template v-if="phones.trust">
          <h2>{{ t('page-phones.scan') }}</h2>
          <QrCode :text="phones.trust" :name="t('page-phones.or-type', { address: phones.trust })" />
          <p class="lead">{{ t('page-phones.scan-what') }}</p>
          <p>{{ t('page-phones.or-type', { address: phones.trust }) }}</p>
          <p>{{ t('page-phones.after-that', { address: phones.app[0]! }) }}</p>
        </template>
        <template v-else>
          <QrCode :text="phones.app[0]!" :name="t('page-phones.open', { address: phones.app[0]! })" />
          <p>{{ t('page-phones.open', { address: phones.app[0]! }) }}</p>
        </template>
        <p v-if="also" class="note">{{ t('page-phones.also', { addresses: also }) }}</p>
      </section>
      <section v-else>
        <p class="lead">{{ t('page-phones.closed') }}</p>
        <code>{{ START }}</code>
      </section>
      <section v-if="session.isLead">
        <h2>{{ t('page-phones.signed-in') }}</h2>
        <p class="note">{{ t('page-phones.ended-how') }}</p>
        <SignedInDevices
          :devices="phones.devices"
          :time-zone="session.shop?.timeZone ?? 'UTC'"
          @rename="rename"
          @sign-out="signOut"
        />
      </section>
    </div>
  </main>
</template>

<style scoped>
section {
  justify-items: start;
}
section > :deep(.devices),
h2 {
  width: 100%;
}
</style>
