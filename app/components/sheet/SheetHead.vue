<script setup lang="ts">
import { computed } from 'vue'
import type { Sheet } from '~~/core/job'
import { t } from '../../words'
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
    <h1>{{ t('sheet-head.job-sheet', { number: s.number }) }}</h1>
    <p class="right">
      <b>{{ shop }}</b><br />{{ day(signed?.at ?? s.opened.at) }},
      <template v-if="signed">{{ t('sheet-head.signed-by-at', { by: signed.by, at: hour(signed.at) }) }}</template><b
        v-else
        >{{ t('sheet-head.not-signed') }}</b
      >
    </p>
  </header>
  <section class="cells">
    <div>
      <h2 class="small">{{ t('common.machine') }}</h2>
      <b>{{ s.machine.name }}</b><span>{{
        s.machine.tag ? t('sheet-head.tag', { model: s.machine.model, tag: s.machine.tag }) : s.machine.model
      }}</span>
    </div>
    <div>
      <h2 class="small">{{ t('common.owner') }}</h2>
      <b>{{ s.machine.owner }}</b><span>{{
        s.complaint ? t('sheet-head.complaint', { complaint: s.complaint }) : t('common.none-given')
      }}</span>
    </div>
    <div>
      <h2 class="small">{{ t('common.meter') }}</h2>
      <b>{{ s.machine.meter }}</b><span>{{ s.machine.sinceLast }}</span>
    </div>
    <div>
      <h2 class="small">{{ t('sheet-head.engine-cold') }}</h2>
      <b>{{ s.cold }}</b><span>{{
        t('sheet-head.by', { people: s.people.join(', ') || t('sheet-head.nobody-yet') })
      }}</span>
    </div>
  </section>
</template>
