<script setup lang="ts">
import Button from 'primevue/button'
import FileUpload from 'primevue/fileupload'
import ProgressBar from 'primevue/progressbar'
import { NuxtLink } from '#components'
import { definePageMeta, useHead } from '#imports'
import ImportColumns from '../../components/spec/ImportColumns.vue'
import ImportGuide from '../../components/spec/ImportGuide.vue'
import ImportPreview from '../../components/spec/ImportPreview.vue'
import SaveAs from '../../components/spec/SaveAs.vue'
import { useSpecImport } from '../../composables/useSpecImport'
import { LOCALE } from '../../language'
import { t } from '../../words'

definePageMeta({ words: ['spec-book'] })
useHead({ title: t('page-spec-book-import.import-wembric') })
const ACCEPTED = '.xlsx,.ods,.csv,.tsv,.txt,.json,text/csv,application/json'
const {
  form,
  taken,
  sent,
  mapping,
  delimiter,
  choose,
  respelt,
  read,
  busy,
  shown,
  rows,
  open,
  more,
  asPrinted,
  approveBecause,
  accept,
  cancel,
  percent,
  again,
} = useSpecImport()
</script>

<template>
  <main class="form import">
    <h1>{{ t('page-spec-book-import.import-models-from-a-file') }}</h1>
    <p class="lead">
      {{ t('page-spec-book-import.csv-in-utf-8-with') }}
    </p>
    <div v-if="!taken && sent === null" class="before">
      <div class="choose">
        <FileUpload
          mode="basic"
          custom-upload
          auto
          :choose-label="t('page-spec-book-import.choose-a-file')"
          :pt="{ input: { 'aria-label': t('page-spec-book-import.file'), 'accept': ACCEPTED } }"
          @uploader="({ files }) => choose(Array.isArray(files) ? files[0]! : files)"
        />
        <p class="note">
          {{ t('page-spec-book-import.no-file-yet') }}
          {{ t('page-spec-book-import.save-this-book-and-see') }}
        </p>
        <SaveAs :label="t('page-spec-book-import.save-this-book')" />
      </div>
      <ImportGuide />
    </div>
    <div v-if="sent !== null" class="running" role="status">
      <p>{{ t('page-spec-book-import.sending-the-file') }}</p>
      <ProgressBar :value="Math.round(sent * 100)" /><Button severity="secondary" outlined @click="cancel">
        {{ t('common.cancel') }}
      </Button>
    </div>
    <p v-if="form.failed.value" class="wrong" role="alert">{{ form.failed.value }}</p>

    <template v-if="taken">
      <p class="file">
        <b>{{ taken.fileName }}</b><span>{{
          t('page-spec-book-import.kb', {
            bytes: (taken.bytes / 1024).toLocaleString(LOCALE, { maximumFractionDigits: 1 }),
          })
        }}</span
        ><Button v-if="!busy" severity="secondary" outlined @click="again">
          {{ t('page-spec-book-import.another-file') }}
        </Button>
      </p>
      <ImportColumns
        v-if="taken.state === 'uploaded' && taken.format === 'csv'"
        v-model:mapping="mapping"
        v-model:delimiter="delimiter"
        :settings="taken.settings"
        :parted="!/\.(xlsx|ods)$/i.test(taken.fileName)"
        @respelt="respelt"
        @read="read"
      />
      <div v-if="busy" class="running" role="status">
        <p>
          {{
            taken.state === 'reading'
              ? t('page-spec-book-import.looking-at-each-row')
              : t('page-spec-book-import.writing-of', {
                  progress: taken.progress.toLocaleString(LOCALE),
                  total: taken.total.toLocaleString(LOCALE),
                })
          }}
        </p>
        <ProgressBar :value="percent" /><Button severity="secondary" outlined @click="cancel">
          {{ t('common.cancel') }}
        </Button>
      </div>
      <ImportPreview
        v-if="taken.state === 'preview'"
        v-model:approve-because="approveBecause"
        :taken="taken"
        :shown="shown"
        :rows="rows"
        :busy="form.busy.value"
        @open="open"
        @more="more"
        @as-printed="asPrinted"
        @accept="accept"
        @cancel="cancel"
      />
      <p v-if="taken.state === 'done'" class="done" role="status">
        <b>{{ t('page-spec-book-import.saved') }}</b> {{ taken.message }}
        <NuxtLink to="/spec-book">{{ t('page-spec-book-import.to-the-book') }}</NuxtLink>
      </p>
      <p v-if="taken.state === 'cancelled'" class="done" role="status">
        <b>{{ t('page-spec-book-import.cancelled') }}</b> {{ t('page-spec-book-import.nothing-was-saved') }}
      </p>
      <p v-if="taken.state === 'failed'" class="wrong" role="alert">
        {{ taken.message || t('page-spec-book-import.it-could-not-be-read') }}
      </p>
    </template>
  </main>
</template>

<style scoped>
.import {
  max-width: 1240px;
}
.choose,
.running {
  display: grid;
  gap: 10px;
  justify-items: start;
}
.choose {
  align-content: start;
}
.choose :deep(.p-button) {
  min-height: 56px;
  font-size: 18px;
}
.before {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.6fr);
  gap: 32px 48px;
}
@media (max-width: 900px) {
  .before {
    grid-template-columns: minmax(0, 1fr);
  }
}
.running > :nth-child(2) {
  width: min(100%, 560px);
}
.file {
  display: flex;
  gap: 14px;
  align-items: center;
  font: 500 18px/1.2 var(--figures);
}
.done {
  font-size: 19px;
}
</style>
