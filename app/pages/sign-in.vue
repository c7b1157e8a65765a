<script setup lang="ts">
import { definePageMeta, navigateTo, useHead, useRoute } from '#imports'
import Button from 'primevue/button'
import { ref } from 'vue'
import TextField from '../components/forms/TextField.vue'
import { useForm } from '../composables/useForm'
import { useOutboxStore } from '../stores/outbox'
import { useSessionStore } from '../stores/session'
import { append } from '../utils/api'

definePageMeta({ layout: false })
useHead({ title: 'Sign in, Wembric' })
const session = useSessionStore()
const outbox = useOutboxStore()
const form = useForm()
const signIn = ref('')
const password = ref('')

async function submit(): Promise<void> {
  const given = await form.send(() =>
    append('POST /api/session', { body: { signIn: signIn.value, password: password.value } }),
  )
  if (!given) return
  session.begin(given)
  void outbox.flush()
  const back = String(useRouteBack())
  await navigateTo(back.startsWith('/') && !back.startsWith('//') ? back : '/')
}
const route = useRoute()
const useRouteBack = () => route.query.back ?? '/'
</script>

<template>
  <main class="sign-in">
    <form class="form narrow" @submit.prevent="submit">
      <p class="brand"><img src="/mark.svg" alt="" width="40" height="40" /><b>Wembric</b></p>
      <h1>Sign in</h1>
      <p v-if="outbox.waiting.length" class="said">
        {{ outbox.waiting.length === 1 ? 'One answer is' : `${outbox.waiting.length} answers are` }} kept on this device
        and sent when the one who gave {{ outbox.waiting.length === 1 ? 'it' : 'them' }} signs in.
      </p>
      <TextField v-model="signIn" label="Name" name="username" autocomplete="username" :wrong="form.wrong('signIn')" />
      <TextField
        v-model="password"
        label="Password"
        name="password"
        type="password"
        autocomplete="current-password"
        :wrong="form.wrong('password')"
      />
      <p v-if="form.failed.value && !form.wrong('password') && !form.wrong('signIn')" class="wrong" role="alert">
        {{ form.failed.value }}
      </p>
      <Button type="submit" label="Sign in" :loading="form.busy.value" />
    </form>
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
