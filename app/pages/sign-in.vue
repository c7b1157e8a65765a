<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import { definePageMeta, navigateTo, useHead, useRoute } from '#imports'
import { codeSchema, type SessionResponse, signInSchema } from '~~/shared/session'
import CheckedForm from '../components/forms/CheckedForm.vue'
import CrewPick from '../components/forms/CrewPick.vue'
import ShopAtTheDoor from '../components/forms/ShopAtTheDoor.vue'
import TextField from '../components/forms/TextField.vue'
import LanguagePick from '../components/shell/LanguagePick.vue'
import { useCrew } from '../composables/useCrew'
import { useForm } from '../composables/useForm'
import { useOwnLanguage } from '../composables/useOwnLanguage'
import { useOutboxStore } from '../stores/outbox'
import { useSessionStore } from '../stores/session'
import { append } from '../utils/api'
import { pathHere } from '../utils/path-here'
import { t } from '../words'

definePageMeta({ layout: false })
useHead({ title: t('page-sign-in.sign-in-wembric') })
const session = useSessionStore()
const outbox = useOutboxStore()
const own = useOwnLanguage()
const form = useForm()
const codeForm = useForm()
const { crew, form: pinForm, takeOver } = useCrew()
const signIn = ref('')
const password = ref('')
const route = useRoute()
/** The shop, where a server has several: from the address that was handed over, or as it was given here before. */
const known = useLocalStorage('wembric-shop', '')
const shop = ref(String(route.query.shop ?? known.value))
const ofShop = () => (shop.value.trim() ? { shop: shop.value.trim() } : {})
const asksShop = computed(() => shop.value !== '' || [form, codeForm].some(f => f.wrong('shop')))
function begin(given: SessionResponse): void {
  known.value = shop.value.trim()
  session.begin(given)
  void outbox.flush()
}
/** Whoever is in a hurry goes straight to it. */
const quick = ref(false)

/** A lead’s one-time code in place of the password, with a new one. */
const byCode = ref(false)
const [code, next] = [ref(''), ref('')]
const codeBody = () => ({ signIn: signIn.value, ...ofShop(), code: code.value, next: next.value })
async function submitCode(): Promise<void> {
  const given = await codeForm.send(() => append('POST /api/session/code', { body: codeBody() }))
  if (!given) return
  begin(given)
  if (!own.speakTheirs(pathBack())) await navigateTo(pathBack())
}
const body = () => ({ signIn: signIn.value, ...ofShop(), password: password.value })
async function submit(): Promise<void> {
  const given = await form.send(() => append('POST /api/session', { body: body() }))
  if (!given) return
  begin(given)
  const path = quick.value ? '/quick' : pathBack()
  if (!own.speakTheirs(path)) await navigateTo(path)
}
/** Where whoever signs in came from. */
const pathBack = (): string => pathHere(route.query.back)
</script>

<template>
  <main class="sign-in">
    <CrewPick
      v-if="crew.length"
      class="form narrow"
      :crew="crew"
      :form="pinForm"
      :here="null"
      @take="(id, pin) => takeOver(id, pin, pathBack())"
    />
    <CheckedForm
      v-if="byCode"
      class="form narrow"
      :form="codeForm"
      :schema="codeSchema"
      :body="codeBody"
      @send="submitCode"
    >
      <p class="brand"><img src="/mark.svg" alt="" width="40" height="40" /><b>Wembric</b></p>
      <h1>{{ t('page-sign-in.code') }}</h1>
      <TextField v-model="signIn" :label="t('common.sign-in-name')" name="signIn" autocomplete="username" />
      <ShopAtTheDoor v-if="asksShop" v-model="shop" />
      <TextField v-model="code" :label="t('page-sign-in.code')" name="code" autocomplete="one-time-code" />
      <TextField
        v-model="next"
        :label="t('common.new-password')"
        :note="t('common.eight-characters-or-more')"
        name="next"
        type="password"
        autocomplete="new-password"
      />
      <p v-if="codeForm.failed.value && !codeForm.wrong('code') && !codeForm.wrong('shop')" class="wrong" role="alert">
        {{ codeForm.failed.value }}
      </p>
      <Button type="submit" :label="t('common.sign-in')" :loading="codeForm.busy.value" />
      <Button link :label="t('page-sign-in.with-password')" @click="byCode = false" />
    </CheckedForm>
    <CheckedForm v-else class="form narrow" :form="form" :schema="signInSchema" :body="body" @send="submit">
      <p class="brand"><img src="/mark.svg" alt="" width="40" height="40" /><b>Wembric</b></p>
      <h1>{{ t('common.sign-in') }}</h1>
      <p v-if="outbox.waiting.length" class="said">
        {{ t('page-sign-in.kept', { answers: outbox.waiting.length }) }}
      </p>
      <TextField v-model="signIn" :label="t('common.sign-in-name')" name="signIn" autocomplete="username" />
      <ShopAtTheDoor v-if="asksShop" v-model="shop" />
      <TextField
        v-model="password"
        :label="t('common.password')"
        name="password"
        type="password"
        autocomplete="current-password"
      />
      <p v-if="form.failed.value && !['password', 'signIn', 'shop'].some(form.wrong)" class="wrong" role="alert">
        {{ form.failed.value }}
      </p>
      <Button type="submit" :label="t('common.sign-in')" :loading="form.busy.value" @click="quick = false" />
      <Button
        type="submit"
        severity="secondary"
        outlined
        :label="t('page-sign-in.for-a-quick-job')"
        @click="quick = true"
      />
      <Button link :label="t('page-sign-in.have-a-code')" @click="byCode = true" />
      <LanguagePick />
    </CheckedForm>
  </main>
</template>

<style scoped>
.sign-in {
  min-height: 100dvh;
  display: grid;
  place-items: center;
  padding: 20px;
}
.form {
  width: 100%;
}
.brand {
  display: flex;
  gap: 12px;
  align-items: center;
  font: 600 30px/1 var(--figures);
}
</style>
