<script setup lang="ts">
import Button from 'primevue/button'
import { reactive, useTemplateRef } from 'vue'
import { NuxtLink } from '#components'
import { definePageMeta, useHead } from '#imports'
import { ownPasswordSchema, ownSchema } from '~~/shared/people'
import CheckedForm from '../components/forms/CheckedForm.vue'
import ChoiceField from '../components/forms/ChoiceField.vue'
import TextField from '../components/forms/TextField.vue'
import { useForm } from '../composables/useForm'
import { useSaid } from '../composables/useSaid'
import { useSessionStore } from '../stores/session'
import { api } from '../utils/api'
import { t } from '../words'

definePageMeta({ words: ['pages'] })
useHead({ title: t('page-me.title-wembric') })
const session = useSessionStore()
const said = useSaid()
const [own, word] = [useForm(), useForm()]
const given = reactive({ name: session.person?.name ?? '', unit: session.person?.unit ?? null })
const UNITS = [
  { value: null, label: t('page-me.as-the-shop') },
  { value: 'mm' as const, label: 'mm' },
  { value: 'thou' as const, label: 'thou' },
]
async function settle(): Promise<void> {
  if (!(await own.send(() => api('PUT /api/me', { body: given })))) return
  await session.load()
  said()
}
const passwords = reactive({ password: '', next: '' })
const passwordForm = useTemplateRef('passwordForm')
async function change(): Promise<void> {
  if (!(await word.send(() => api('PUT /api/me/password', { body: passwords })))) return
  Object.assign(passwords, { password: '', next: '' })
  passwordForm.value?.forget()
  said(t('page-me.password-changed'))
}
</script>

<template>
  <main class="form narrow">
    <h1>{{ t('page-me.title') }}</h1>
    <p v-if="session.person?.byPin" class="lead">{{ t('page-me.came-by-pin') }}</p>
    <template v-else>
      <CheckedForm class="part" :form="own" :schema="ownSchema" :body="() => given" @send="settle">
        <TextField
          v-model="given.name"
          :label="t('page-me.your-name')"
          :note="t('page-me.name-note')"
          name="name"
          autocomplete="name"
        />
        <ChoiceField v-model="given.unit" :label="t('page-setup.unit-shown-first')" :options="UNITS" name="unit" />
        <p v-if="own.failed.value && !own.wrong('name')" class="wrong" role="alert">{{ own.failed.value }}</p>
        <div class="actions"><Button type="submit" :label="t('common.save')" :loading="own.busy.value" /></div>
      </CheckedForm>
      <CheckedForm
        ref="passwordForm"
        class="part"
        :form="word"
        :schema="ownPasswordSchema"
        :body="() => passwords"
        @send="change"
      >
        <h2>{{ t('common.new-password') }}</h2>
        <TextField
          v-model="passwords.password"
          :label="t('page-me.password-now')"
          name="password"
          type="password"
          autocomplete="current-password"
        />
        <TextField
          v-model="passwords.next"
          :label="t('common.new-password')"
          :note="t('common.eight-characters-or-more')"
          name="next"
          type="password"
          autocomplete="new-password"
        />
        <p class="note">{{ t('page-me.other-devices') }}</p>
        <p v-if="word.failed.value && !word.wrong('password') && !word.wrong('next')" class="wrong" role="alert">
          {{ word.failed.value }}
        </p>
        <div class="actions">
          <Button type="submit" :label="t('page-me.change-password')" :loading="word.busy.value" />
        </div>
      </CheckedForm>
    </template>
    <p>
      <NuxtLink to="/hands">{{ t('page-hands.your-pin') }}</NuxtLink>
    </p>
  </main>
</template>

<style scoped>
.part {
  display: grid;
  gap: 14px;
  padding-bottom: 20px;
}
</style>
