<script setup lang="ts">
import Button from 'primevue/button'
import { computed, onMounted, ref, watch } from 'vue'
import { NuxtLink } from '#components'
import { definePageMeta, useHead, useRoute } from '#imports'
import type { SheetResponse } from '~~/shared/jobs'
import JobSheet from '../../../components/sheet/JobSheet.vue'
import { useForm } from '../../../composables/useForm'
import { useOutboxStore } from '../../../stores/outbox'
import { useSessionStore } from '../../../stores/session'
import { api } from '../../../utils/api'
import { t } from '../../../words'

definePageMeta({ layout: false, words: ['pages'] })
const jobId = Number(useRoute().params.id)
const session = useSessionStore()
const form = useForm()
const given = ref<SheetResponse | null>(null)
const load = async () => {
  given.value = await form.send(() => api('GET /api/jobs/:id/sheet', { id: jobId }))
}
onMounted(load)

// answers still on their way from this device come onto the sheet as the shop takes them
const outbox = useOutboxStore()
const onTheirWay = computed(
  () => outbox.waiting.filter(w => w.jobId === jobId && w.shopId === session.shop?.id && !w.refused).length,
)
watch(onTheirWay, (left, before) => (left < before ? void load() : undefined))
useHead({
  title: () =>
    given.value
      ? t('page-jobs-id-sheet.job-sheet', { number: given.value.sheet.number })
      : t('page-jobs-id-sheet.job-sheet-wembric'),
})
const print = () => window.print()

function download(): void {
  const file = new Blob([JSON.stringify(given.value!.sheet, null, 2)], { type: 'application/json' })
  const link = document.createElement('a')
  link.href = URL.createObjectURL(file)
  link.download = `job-sheet-${given.value!.sheet.number}.json`
  link.click()
  URL.revokeObjectURL(link.href)
}
</script>

<template>
  <main class="page-of-sheet">
    <nav class="bar" :aria-label="t('page-jobs-id-sheet.sheet')">
      <NuxtLink class="quiet" to="/">{{ t('common.bay') }}</NuxtLink><NuxtLink class="quiet" :to="`/jobs/${jobId}`">{{
        t('page-jobs-id-sheet.job')
      }}</NuxtLink>
      <Button severity="secondary" outlined :disabled="!given" @click="print"> {{ t('common.print') }}</Button><Button
        severity="secondary"
        outlined
        :disabled="!given"
        @click="download"
      >
        {{ t('common.json') }}
      </Button>
      <a
        v-for="paper in ['A4', 'Letter']"
        :key="paper"
        class="quiet"
        :href="`/api/jobs/${jobId}/sheet.pdf?paper=${paper}`"
        download
        >{{ t('page-jobs-id-sheet.pdf', { paper }) }}</a
      >
      <span v-if="given?.earlier.length">{{
        t('page-jobs-id-sheet.signed-before', { count: given.earlier.length })
      }}</span>
    </nav>
    <p v-if="form.failed.value" class="said" role="alert">
      {{ form.failed.value }}
      <Button link @click="load">{{ t('common.try-again') }}</Button>
    </p>
    <p v-else-if="onTheirWay" class="said" role="status">
      {{ t('page-jobs-id-sheet.on-their-way', { answers: onTheirWay }) }}
    </p>
    <p v-else-if="!given" class="said" role="status">{{ t('page-jobs-id-sheet.fetching-the-sheet') }}</p>
    <JobSheet
      v-if="given"
      :sheet="given.sheet"
      :shop="given.shop"
      :time-zone="session.shop?.timeZone ?? 'UTC'"
      :signed="given.signed"
      :tasks="given.tasks"
    />
  </main>
</template>

<style>
@media print {
  .bar,
  .said {
    display: none !important;
  }
  .page-of-sheet {
    padding: 0 !important;
  }
}
</style>

<style scoped>
.page-of-sheet {
  padding: 16px;
  display: grid;
  justify-items: center;
  gap: 14px;
  align-content: start;
}
.bar {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
  justify-self: stretch;
  max-width: 760px;
  margin: 0 auto;
  width: 100%;
}
</style>
