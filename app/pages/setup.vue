<script setup lang="ts">
import { definePageMeta, navigateTo, useHead } from '#imports'
import Button from 'primevue/button'
import { reactive } from 'vue'
import ChoiceField from '../components/forms/ChoiceField.vue'
import TextField from '../components/forms/TextField.vue'
import { useForm } from '../composables/useForm'
import { useSessionStore } from '../stores/session'
import { api } from '../utils/api'

definePageMeta({ layout: false })
useHead({ title: 'Your shop, Wembric' })
const form = useForm()
const session = useSessionStore()
const zones = Intl.supportedValuesOf('timeZone').map(value => ({ value, label: value.replaceAll('_', ' ') }))
const shop = reactive({
  shop: '',
  timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone as string | null,
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
    <form class="form" @submit.prevent="submit">
      <h1>Your shop</h1>
      <p class="lead">
        This server has no shop yet. Name it, and add the first lead: leads approve specs, add people and blade sets,
        and can reopen a closed job.
      </p>
      <div class="grid">
        <TextField v-model="shop.shop" label="Shop" :wrong="form.wrong('shop')" />
        <ChoiceField
          v-model="shop.timeZone"
          label="Time zone"
          :options="zones"
          filter
          note="Says when your day begins."
          :wrong="form.wrong('timeZone')"
        />
        <ChoiceField
          v-model="shop.unit"
          label="Unit shown first"
          :options="[
            { value: 'mm', label: 'mm' },
            { value: 'thou', label: 'thou' },
          ]"
          note="Both are always shown."
        />
      </div>
      <h2>First lead</h2>
      <div class="grid">
        <TextField v-model="shop.lead.name" label="Name" :wrong="form.wrong('lead.name')" />
        <TextField
          v-model="shop.lead.signIn"
          label="Sign-in name"
          autocomplete="username"
          :wrong="form.wrong('lead.signIn')"
        />
        <TextField
          v-model="shop.lead.password"
          label="Password"
          type="password"
          autocomplete="new-password"
          note="Eight characters or more."
          :wrong="form.wrong('lead.password')"
        />
      </div>
      <p v-if="form.failed.value" class="wrong" role="alert">{{ form.failed.value }}</p>
      <div class="actions"><Button type="submit" label="Make the shop" :loading="form.busy.value" /></div>
    </form>
  </main>
</template>
