<script setup lang="ts">
import './sheet.css'
import type { Sheet } from '~~/core/job'
import type { SheetTask } from '~~/shared/jobs'
import { t } from '../../words'
import SheetHead from './SheetHead.vue'
import SheetParts from './SheetParts.vue'
import SheetRounds from './SheetRounds.vue'
import SheetSpec from './SheetSpec.vue'
import SheetValves from './SheetValves.vue'

/** The job sheet on one page of A4 or Letter, in ink only. What is not on record says so. */
defineProps<{
  sheet: Sheet
  shop: string
  timeZone: string
  signed: { at: string; by: string } | null
  tasks?: SheetTask[]
}>()
</script>

<template>
  <article class="sheet" lang="en">
    <SheetHead :sheet="sheet" :shop="shop" :time-zone="timeZone" :signed="signed" />
    <SheetValves :sheet="sheet" />
    <SheetSpec :sheet="sheet" />
    <SheetRounds :sheet="sheet" :time-zone="timeZone" />
    <SheetParts :sheet="sheet" :tasks="tasks" />
    <footer>
      <div>
        <h2>{{ t('job-sheet.next-due', { nextDue: sheet.nextDue }) }}</h2>
        <p>{{ t('job-sheet.whichever-comes-first') }}</p>
      </div>
      <div class="sign">
        <span>{{ t('common.signed') }}</span><span>{{ t('job-sheet.date') }}</span>
      </div>
      <p class="caution"><b>!</b> {{ t('job-sheet.run-the-engine-outdoors', { caution: sheet.caution }) }}</p>
    </footer>
  </article>
</template>
