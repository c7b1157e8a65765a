<script setup lang="ts">
import { computed } from 'vue'
import type { Sheet } from '~~/core/job'
import { sheetClock } from './clock'

/** Whose machine, what it came for, and who signed when. */
const props = defineProps<{
  sheet: Sheet
  shop: string
  timeZone: string
  signed: { at: string; by: string } | null
}>()
const s = computed(() => props.sheet)
const { day, hour } = sheetClock(props.timeZone)
</script>

<template>
  <header>
    <h1>Job sheet {{ s.number }}</h1>
    <p class="right">
      <b>{{ shop }}</b><br />{{ day(signed?.at ?? s.opened.at) }},
      <template v-if="signed">signed by {{ signed.by }} at {{ hour(signed.at) }}</template
      ><b v-else>not signed</b>
    </p>
  </header>
  <section class="cells">
    <div>
      <h2 class="small">Machine</h2>
      <b>{{ s.machine.name }}</b><span>{{ s.machine.model }}, tag {{ s.machine.tag }}</span>
    </div>
    <div>
      <h2 class="small">Owner</h2>
      <b>{{ s.machine.owner }}</b><span>{{ s.complaint ? `complaint: ${s.complaint}` : 'none given' }}</span>
    </div>
    <div>
      <h2 class="small">Meter</h2>
      <b>{{ s.machine.meter }}</b><span>{{ s.machine.sinceLast }}</span>
    </div>
    <div>
      <h2 class="small">Engine, cold</h2>
      <b>{{ s.cold }}</b><span>by {{ s.people.join(', ') || 'nobody yet' }}</span>
    </div>
  </section>
</template>
