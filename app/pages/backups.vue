<script setup lang="ts">
import Button from 'primevue/button'
import ProgressBar from 'primevue/progressbar'
import { computed, onMounted, ref } from 'vue'
import { definePageMeta, useHead } from '#imports'
import { DAY_MS } from '~~/core/units'
import { backupSchema } from '~~/shared/backups'
import CheckedForm from '../components/forms/CheckedForm.vue'
import TextField from '../components/forms/TextField.vue'
import LoadingRows from '../components/shell/LoadingRows.vue'
import BackupList from '../components/shop/BackupList.vue'
import { useBackups } from '../composables/useBackups'
import { LOCALE } from '../language'
import { useSessionStore } from '../stores/session'
import { t } from '../words'

definePageMeta({ words: ['pages'] })
useHead({ title: t('page-backups.title-wembric') })
const session = useSessionStore()
const { form, backups, load, make, running } = useBackups()
const password = ref('')
onMounted(load)

const zone = computed(() => session.shop?.timeZone ?? 'UTC')
const newest = computed(() => backups.value?.files[0] ?? null)
const standing = computed(() => {
  if (!newest.value) return t('page-backups.none')
  const made = new Date(newest.value.madeAt)
  if (made.getTime() > Date.now() + DAY_MS) return t('page-backups.future')
  const words = { dateStyle: 'long', timeStyle: 'short', timeZone: zone.value } as const
  return t('page-backups.newest', { at: new Intl.DateTimeFormat(LOCALE, words).format(made) })
})
const command = computed(() => {
  const file = `${backups.value?.folder ?? ''}/${newest.value?.name ?? 'wembric-….tar'}`
  return `WEMBRIC_DATA=/new/folder npm run restore -- ${file}`
})
async function send(): Promise<void> {
  if (await make(password.value)) password.value = ''
}
</script>

<template>
  <main class="form wide">
    <h1>{{ t('page-backups.title') }}</h1>
    <div class="beside">
      <section>
        <h2>{{ t('page-backups.backups') }}</h2>
        <p v-if="form.failed.value" class="wrong" role="alert">{{ form.failed.value }}</p>
        <LoadingRows v-else-if="!backups" :words="t('page-backups.title')" />
        <template v-if="backups">
          <p class="lead" role="status">{{ standing }}</p>
          <p class="note">
            {{ backups.nightly ? t('page-backups.by-itself') : t('page-backups.not-by-itself') }}
            {{ t('page-backups.where', { folder: backups.folder }) }} {{ t('page-backups.elsewhere') }}
          </p>
          <p v-if="backups.failed" class="wrong" role="alert">{{ backups.failed }}</p>
          <div v-if="running" class="making" role="status">
            <span>{{ t('page-backups.making') }}</span>
            <ProgressBar :value="Math.round(running.part * 100)" />
          </div>
          <CheckedForm
            v-else
            class="make"
            :form="form"
            :schema="backupSchema"
            :body="() => ({ password })"
            @send="send"
          >
            <TextField
              v-model="password"
              :label="t('page-backups.password')"
              type="password"
              autocomplete="new-password"
              :note="t('page-backups.password-note')"
              name="password"
            />
            <Button type="submit" :label="t('page-backups.make')" :loading="form.busy.value" />
          </CheckedForm>
          <BackupList v-if="backups.files.length" :files="backups.files" :time-zone="zone" />
          <h3>{{ t('page-backups.way-back') }}</h3>
          <p class="note">{{ t('page-backups.way-back-how') }}</p>
          <code>{{ command }}</code>
        </template>
      </section>
      <section>
        <h2>{{ t('page-backups.open-files') }}</h2>
        <p class="lead">{{ t('page-backups.open-files-what') }}</p>
        <p>
          <a class="quiet" href="/api/shop-files" download="wembric-shop.zip">{{ t('page-backups.fetch-files') }}</a>
        </p>
      </section>
    </div>
  </main>
</template>

<style scoped>
.make,
.making {
  display: grid;
  gap: 14px;
}
.make {
  justify-items: start;
}
code {
  overflow-wrap: anywhere;
}
</style>
