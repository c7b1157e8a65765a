<script setup lang="ts">
import Button from 'primevue/button'
import { ref } from 'vue'
import { definePageMeta, useHead, useRoute } from '#imports'
import { ownPinSchema } from '~~/shared/change-of-hands'
import CheckedForm from '../components/forms/CheckedForm.vue'
import CrewPick from '../components/forms/CrewPick.vue'
import TextField from '../components/forms/TextField.vue'
import { useCrew } from '../composables/useCrew'
import { useForm } from '../composables/useForm'
import { useSaid } from '../composables/useSaid'
import { useSessionStore } from '../stores/session'
import { api } from '../utils/api'
import { pathHere } from '../utils/path-here'
import { t } from '../words'

definePageMeta({ words: ['pages'] })
useHead({ title: t('page-hands.change-of-hands-wembric') })
const session = useSessionStore()
const { crew, asked, form, takeOver } = useCrew()
const path = pathHere(useRoute().query.back)

const own = useForm()
const said = useSaid()
const pin = ref('')
async function keepPin(digits: string | null): Promise<void> {
  if (!(await own.send(() => api('PUT /api/pin', { body: { pin: digits } })))) return
  pin.value = ''
  said(digits === null ? t('page-hands.pin-gone') : t('page-hands.pin-kept'))
}
</script>

<template>
  <main class="form narrow">
    <h1>{{ t('page-hands.change-of-hands') }}</h1>
    <CrewPick
      v-if="crew.length"
      :crew="crew"
      :form="form"
      :here="session.person?.id ?? null"
      @take="(id, digits) => takeOver(id, digits, path)"
    />
    <p v-else-if="asked" class="lead">{{ t('page-hands.not-trusted') }}</p>
    <CheckedForm
      v-if="session.person && !session.person.byPin"
      class="own"
      :form="own"
      :schema="ownPinSchema"
      :body="() => ({ pin })"
      @send="keepPin(pin)"
    >
      <h2>{{ t('page-hands.your-pin') }}</h2>
      <p class="lead">{{ t('page-hands.what-it-is-for') }}</p>
      <TextField
        v-model="pin"
        :label="t('page-hands.your-pin')"
        :note="t('page-hands.four-to-eight-digits')"
        name="pin"
        inputmode="numeric"
        autocomplete="off"
      />
      <p v-if="own.failed.value && !own.wrong('pin')" class="wrong" role="alert">{{ own.failed.value }}</p>
      <div class="actions">
        <Button type="submit" :label="t('page-hands.keep-it')" :loading="own.busy.value" /><Button
          severity="secondary"
          outlined
          :label="t('page-hands.take-it-away')"
          @click="keepPin(null)"
        />
      </div>
    </CheckedForm>
    <p v-else-if="session.person" class="lead">{{ t('page-hands.came-by-pin', { name: session.person.name }) }}</p>
  </main>
</template>

<style scoped>
.own {
  display: grid;
  gap: 14px;
}
</style>
