<script setup lang="ts">
import Button from 'primevue/button'
import { computed, reactive, ref } from 'vue'
import { definePageMeta, navigateTo, useHead } from '#imports'
import { setupSchema } from '~~/shared/shop'
import CheckedForm from '../components/forms/CheckedForm.vue'
import ClockAndUnit from '../components/forms/ClockAndUnit.vue'
import TextField from '../components/forms/TextField.vue'
import RestorePanel from '../components/shop/RestorePanel.vue'
import { useForm } from '../composables/useForm'
import { useRestore } from '../composables/useRestore'
import { useSessionStore } from '../stores/session'
import { api } from '../utils/api'
import { t } from '../words'

definePageMeta({ layout: false, words: ['pages'] })
useHead({ title: t('page-setup.your-shop-wembric') })
const form = useForm()
/** A new computer of a shop that has been somewhere else before. */
const restore = useRestore()
const asked = ref(false)
const restoring = computed(() => asked.value || ['running', 'done'].includes(restore.state.value.state))
const session = useSessionStore()
const here = Intl.DateTimeFormat().resolvedOptions().timeZone
const shop = reactive({
  shop: '',
  timeZone: here as string | null,
  unit: 'mm' as 'mm' | 'thou' | null,
  lead: { name: '', signIn: '', password: '' },
})

async function submit(): Promise<void> {
  const given = await form.send(() => api('POST /api/setup', { body: shop }))
  if (!given) return
  session.begin(given)
  await navigateTo('/')
}
</script>

<template>
  <main>
    <RestorePanel v-if="restoring" :restore="restore" @leave="asked = false" />
    <CheckedForm v-else class="form" :form="form" :schema="setupSchema" :body="() => shop" @send="submit">
      <h1>{{ t('page-setup.your-shop') }}</h1>
      <Button link class="instead" :label="t('page-setup.restore-instead')" @click="asked = true" />
      <p class="lead">
        {{ t('page-setup.this-server-has-no-shop') }}
      </p>
      <div class="grid">
        <TextField v-model="shop.shop" :label="t('common.shop')" name="shop" />
        <ClockAndUnit
          v-model:time-zone="shop.timeZone"
          v-model:unit="shop.unit"
          :here="here"
          :unit-note="t('page-setup.both-are-always-shown')"
        />
      </div>
      <h2>{{ t('page-setup.first-lead') }}</h2>
      <div class="grid">
        <TextField v-model="shop.lead.name" :label="t('common.name')" name="lead.name" />
        <TextField
          v-model="shop.lead.signIn"
          :label="t('common.sign-in-name')"
          autocomplete="username"
          name="lead.signIn"
        />
        <TextField
          v-model="shop.lead.password"
          :label="t('common.password')"
          type="password"
          autocomplete="new-password"
          :note="t('common.eight-characters-or-more')"
          name="lead.password"
        />
      </div>
      <p v-if="form.failed.value" class="wrong" role="alert">{{ form.failed.value }}</p>
      <div class="actions">
        <Button type="submit" :label="t('page-setup.make-the-shop')" :loading="form.busy.value" />
      </div>
    </CheckedForm>
  </main>
</template>

<style scoped>
.instead {
  justify-self: start;
}
</style>
