<script setup lang="ts">
import Button from 'primevue/button'
import ProgressBar from 'primevue/progressbar'
import { computed, ref, useTemplateRef } from 'vue'
import { NuxtLink } from '#components'
import type { useRestore } from '../../composables/useRestore'
import { t } from '../../words'
import TextField from '../forms/TextField.vue'

/** Brings a backup back on a computer that has no shop yet. */
const props = defineProps<{ restore: ReturnType<typeof useRestore> }>()
defineEmits<{ leave: [] }>()
const { form, state, sent, begin } = props.restore
const chosen = useTemplateRef<HTMLInputElement>('chosen')
const password = ref('')
const missing = ref(false)
const progress = computed(() => {
  if (sent.value !== null) return { words: t('page-setup.sending'), part: sent.value }
  return state.value.state === 'running' ? { words: t('page-setup.restoring'), part: state.value.part } : null
})
async function send(): Promise<void> {
  const file = chosen.value?.files?.[0]
  missing.value = !file
  if (file) await begin(file, password.value)
}
</script>

<template>
  <section class="form restore">
    <h1>{{ t('page-setup.restore') }}</h1>
    <div v-if="state.state === 'done'" role="status">
      <p class="lead">
        {{ state.lead ? t('page-setup.restored-by-code', state.lead) : t('page-setup.restored') }}
      </p>
      <p>
        <NuxtLink to="/sign-in">{{ t('page-setup.to-sign-in') }}</NuxtLink>
      </p>
    </div>
    <template v-else>
      <p class="lead">{{ t('page-setup.restore-what') }}</p>
      <div v-if="progress" role="status">
        <p>{{ progress.words }}</p>
        <ProgressBar :value="Math.round(progress.part * 100)" />
      </div>
      <form v-else class="fields" @submit.prevent="send">
        <label class="file"
          ><span>{{ t('page-setup.file') }}</span
          ><input ref="chosen" type="file" accept=".tar,.age,.zip" @change="missing = false"
        /></label>
        <p v-if="missing" class="wrong" role="alert">{{ t('page-setup.choose-a-file') }}</p>
        <TextField
          v-model="password"
          :label="t('page-setup.restore-password')"
          type="password"
          autocomplete="off"
          name="password"
        />
        <p v-if="form.failed.value || state.state === 'failed'" class="wrong" role="alert">
          {{ state.state === 'failed' ? state.why : form.failed.value }}
        </p>
        <div class="actions">
          <Button type="submit" :label="t('page-setup.restore')" :loading="form.busy.value" />
          <Button severity="secondary" outlined :label="t('common.leave-it')" @click="$emit('leave')" />
        </div>
      </form>
    </template>
  </section>
</template>

<style scoped>
.restore,
.fields {
  display: grid;
  gap: 16px;
}
.file {
  display: grid;
  gap: 6px;
}
.file input::file-selector-button {
  min-height: 44px;
  margin-right: 12px;
  padding: 0 16px;
  border: 1px solid var(--ink2);
  border-radius: 8px;
  background: none;
  color: var(--ink);
  font: 600 16px var(--sentences);
}
</style>
