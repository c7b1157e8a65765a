<script setup lang="ts">
import type { Sheet } from '~~/core/job'
import type { SheetTask } from '~~/shared/responses'
import SheetHead from './SheetHead.vue'
import SheetParts from './SheetParts.vue'
import SheetRounds from './SheetRounds.vue'
import SheetSpec from './SheetSpec.vue'
import SheetValves from './SheetValves.vue'
import './sheet.css'

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
        <h2>Next due: {{ sheet.nextDue }}</h2>
        <p>Whichever comes first.</p>
      </div>
      <div class="sign"><span>Signed</span><span>Date</span></div>
      <p class="caution"><b>!</b> {{ sheet.caution }} Run the engine outdoors.</p>
    </footer>
  </article>
</template>
